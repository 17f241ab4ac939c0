'use client';
/** What a state can have that the plain aircraft has not. */
import { Button } from '@mantine/core';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useStateInView } from './useStateInView';

/** A towed body as it is first said [kg, m2, m]. */
const FIRST_TOW = { mass: 0.3, dragArea: 0.004, line: 5, lineDiameter: 0.001, z: -0.05 };

/** @param cgX CG of the state [m] */
export function StateExtras({ cgX }: { cgX: number }) {
  const first = useWorkspace((w) => w.content.document.design.items[0]);
  const { state, change } = useStateInView();
  if (!state) return null;
  const plain = !(state.towed || state.sideArea || state.moved || state.absent);
  return (
    <div className="line gap8 wraps around8">
      {!state.towed && (
        <Extra onClick={() => change({ towed: { ...FIRST_TOW, x: cgX } })}>Tow something</Extra>
      )}
      {!state.sideArea && (
        <Extra onClick={() => change({ sideArea: { area: 0.01, x: cgX - 0.1, z: 0 } })}>
          Side area appears
        </Extra>
      )}
      {!state.moved && first && (
        <Extra onClick={() => change({ moved: [{ item: first.id, x: first.x }] })}>
          An item sits elsewhere
        </Extra>
      )}
      {!plain && (
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() =>
            change({ towed: undefined, sideArea: undefined, moved: undefined, absent: undefined })
          }
        >
          As the plain aircraft again
        </Button>
      )}
    </div>
  );
}

function Extra({ children, onClick }: { children: string; onClick: () => void }) {
  return (
    <Button size="compact-xs" variant="default" onClick={onClick}>
      {children}
    </Button>
  );
}
