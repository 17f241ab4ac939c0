'use client';
/** Something let go: how long it falls, how far ahead it must be let go, how fast it meets the ground, how it scatters. */
import { standardDensity } from '@skiametra/core/air';
import { entryOf } from '@skiametra/core/assess';
import { fallOf, type Falling } from '@skiametra/core/mission';
import { formatQuantity, type KindName } from '@skiametra/core/units';
import { useState, type ReactNode } from 'react';
import { DocField } from '../../../parts/fields/DocField';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DropPicture } from './DropPicture';
import { Scatter, USUAL_SPREAD } from './Scatter';

const PATH = 'document.design.dropping';
const SPREAD = { height: 'distance', speed: 'speed', wind: 'speed', time: 'time' } as const;
type SpreadOf = keyof typeof SPREAD;

/** What is tried, and not kept: from which height, how fast, in which wind. */
interface Tried {
  height: number;
  airspeed: number;
  tailWind: number;
}

function useFalling(tried: Tried): Falling {
  const design = useWorkspace((w) => w.content.document.design),
    ledger = useWorkspace((w) => w.ledger);
  return {
    ...tried,
    mass: Math.max(design.payload.unitMass, 1e-3),
    dragArea: design.payload.unitMass > 0 ? (design.dropping?.dragArea ?? 0) : 0,
    density: (ledger && entryOf(ledger, 'airDensity', 'all')?.value) ?? standardDensity(),
  };
}

/** Two columns: the fall, and how it scatters. */
export function Drop({ beside }: { beside: ReactNode }) {
  const [tried, setTried] = useState<Tried>({ height: 25, airspeed: 6, tailWind: 0 }),
    falling = useFalling(tried),
    units = useWorkspace((w) => w.units);
  return (
    <div className="station cols-air">
      <LetGo tried={tried} onTry={setTried} falling={falling} />
      <div className="stack">
        <section className="block" aria-label="How well it is known">
          <h2>How well it is known</h2>
          <div className="fields">
            {(Object.keys(SPREAD) as SpreadOf[]).map((f) => (
              <DocField
                key={f}
                path={`${PATH}.spread.${f}`}
                optional
                hint={`Empty: ${formatQuantity(USUAL_SPREAD[f], SPREAD[f], units)}`}
              />
            ))}
          </div>
          <Scatter falling={falling} />
        </section>
        {beside}
      </div>
    </div>
  );
}

interface LetGoProps {
  tried: Tried;
  onTry: (tried: Tried) => void;
  falling: Falling;
}

function LetGo({ tried, onTry, falling }: LetGoProps) {
  const fall = fallOf(falling);
  const field = (key: keyof Tried, label: string, kind: KindName, lo: number, hi: number) => (
    <QuantityField
      label={label}
      value={tried[key]}
      kind={kind}
      onCommit={(v) => {
        if (!(v >= lo && v <= hi)) return `${label}: from ${lo} to ${hi} in metric units.`;
        onTry({ ...tried, [key]: v });
        return null;
      }}
    />
  );
  return (
    <section className="block" aria-label="Dropped">
      <h2>
        Let go<span className="right dim">one unit of the payload</span>
      </h2>
      <div className="fields three">
        {field('height', 'Height', 'distance', 0.1, 5000)}
        {field('airspeed', 'Airspeed', 'speed', 0, 150)}
        {field('tailWind', 'Tail wind; head wind below zero', 'speed', -40, 40)}
        <DocField label="Mass of one" path="document.design.payload.unitMass" />
        <DocField path={`${PATH}.dragArea`} optional hint="Empty: it falls free, without drag" />
        <DocField path={`${PATH}.circle`} optional />
      </div>
      <FallWords fall={fall} />
      <DropPicture falling={falling} fall={fall} />
    </section>
  );
}

function FallWords({ fall }: { fall: ReturnType<typeof fallOf> }) {
  const units = useWorkspace((w) => w.units),
    q = (v: number, kind: KindName) => formatQuantity(v, kind, units);
  return (
    <p>
      It falls for <b className="num">{q(fall.time, 'time')}</b> and comes down{' '}
      <b className="num">{q(Math.abs(fall.ahead), 'distance')}</b>{' '}
      {fall.ahead >= 0 ? 'ahead of where it was let go' : 'behind where it was let go'}, at{' '}
      <b className="num">{q(fall.impact, 'speed')}</b>.{' '}
      {Number.isFinite(fall.terminal)
        ? `Falling for long it would reach ${q(fall.terminal, 'speed')}.`
        : 'Without a drag area it falls free: with one it comes down later, slower and nearer.'}
    </p>
  );
}
