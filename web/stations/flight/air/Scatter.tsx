'use client';
/** Ten thousand drops, each a little different: where they come down, and how many inside the target. */
import { Button, Progress } from '@mantine/core';
import type { Dropping } from '@skiametra/core/design';
import { fallOf, footprintOf, type DropSpread, type Falling, type Footprint } from '@skiametra/core/mission';
import { formatQuantity } from '@skiametra/core/units';
import { useRef, useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { dropsOf } from '../../../workers/coreClient';
import { Stopped } from '../../../workers/lanes';

const DROPS = 10_000;
/** Drawn of them. */
const SHOWN = 800;

/** What is left open is usual; common practice, no source [m, m/s, m/s, s]. */
export const USUAL_SPREAD: DropSpread = { height: 1, speed: 0.5, wind: 1, time: 0.2 };

const spreadOf = (d: Dropping | undefined): DropSpread => ({
  height: d?.spread?.height ?? USUAL_SPREAD.height,
  speed: d?.spread?.speed ?? USUAL_SPREAD.speed,
  wind: d?.spread?.wind ?? USUAL_SPREAD.wind,
  time: d?.spread?.time ?? USUAL_SPREAD.time,
});

function useScatter(falling: Falling) {
  const dropping = useWorkspace((w) => w.content.document.design.dropping);
  const [found, setFound] = useState<{ key: string; print: Footprint } | null>(null),
    [done, setDone] = useState<number | null>(null),
    [trouble, setTrouble] = useState<string | null>(null),
    running = useRef<AbortController | null>(null);
  const spread = spreadOf(dropping),
    circle = dropping?.circle ?? null,
    key = JSON.stringify([falling, spread, circle]);
  const start = async () => {
    running.current = new AbortController();
    setDone(0);
    setTrouble(null);
    try {
      const job = { drop: falling, spread, count: DROPS };
      const places = await dropsOf(job, (p) => setDone(p.done), running.current.signal);
      setFound({ key, print: footprintOf(places, fallOf(falling), circle) });
    } catch (e) {
      if (!(e instanceof Stopped)) setTrouble(e instanceof Error ? e.message : String(e));
    } finally {
      setDone(null);
    }
  };
  // of other figures it says nothing
  return {
    print: found?.key === key ? found.print : null,
    done,
    trouble,
    start,
    stop: () => running.current?.abort(),
    circle,
  };
}

export function Scatter({ falling }: { falling: Falling }) {
  const { print, done, trouble, start, stop, circle } = useScatter(falling);
  return (
    <div className="after">
      {done === null ? (
        <Button variant="light" onClick={() => void start()}>
          Drop it ten thousand times
        </Button>
      ) : (
        <div className="actions">
          <Progress value={(100 * done) / DROPS} w={180} aria-label="Drops done" />
          <Button variant="subtle" onClick={stop}>
            Stop
          </Button>
        </div>
      )}
      {trouble && <p className="stoptext">{trouble}</p>}
      {print && <Print print={print} circle={circle} />}
    </div>
  );
}

function Print({ print, circle }: { print: Footprint; circle: number | null }) {
  const units = useWorkspace((w) => w.units),
    q = (v: number) => formatQuantity(v, 'distance', units),
    r = Math.max(print.most * 1.25, circle ?? 0, 0.1),
    unit = r / 14;
  const step = Math.max(1, Math.floor(print.count / SHOWN)),
    dots = Array.from({ length: Math.floor(print.count / step) }, (_, i) => i * step);
  return (
    <figure className="flush">
      <svg
        className="course"
        viewBox={`${-1.2 * r} ${-r} ${2.4 * r} ${2 * r}`}
        width="100%"
        role="img"
        aria-label="Where they come down, the way ahead to the right"
      >
        {circle !== null && <circle className="courselimit" r={circle} />}
        {dots.map((i) => (
          <circle
            key={i}
            className="dropdot"
            cx={print.offsets[2 * i]}
            cy={print.offsets[2 * i + 1]}
            r={0.16 * unit}
          />
        ))}
        <circle className="dropring" r={print.half} />
        <circle className="dropring far" r={print.most} />
      </svg>
      <figcaption className="legend">
        <span>
          half within <b className="num">{q(print.half)}</b>, 95 of a hundred within{' '}
          <b className="num">{q(print.most)}</b>
        </span>
        <span>
          along {q(print.along)}, across {q(print.across)}
        </span>
        {print.inside !== null && (
          <span>
            <b className="num">{Math.round(100 * print.inside)} %</b> in the target
          </span>
        )}
      </figcaption>
    </figure>
  );
}
