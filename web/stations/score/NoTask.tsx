'use client';
import { Button } from '@mantine/core';
import Link from 'next/link';
import { useWayTo } from '../../parts/frame/useAddress';

/** Where nothing is scored: the brief says what for. */
export function NoTask() {
  const wayTo = useWayTo();
  return (
    <div className="stack">
      <p className="atmost560 flush">
        Nothing is scored: the brief has no task. Where a contest counts something, its formula goes there;
        without one the asked, predicted and measured numbers stand by themselves.
      </p>
      <div>
        <Button component={Link} href={wayTo('brief')} variant="light">
          Set a task in the Brief
        </Button>
      </div>
    </div>
  );
}
