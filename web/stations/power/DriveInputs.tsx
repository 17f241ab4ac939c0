'use client';
/** What is typed of the drive, one part at a time. */
import { Button, FileButton, NativeSelect, Switch } from '@mantine/core';
import { useState } from 'react';
import {
  arranged,
  driveFitted,
  getPath,
  withSecondPack,
  withoutSecondPack,
  type Arrangement,
} from '@skiametra/core/design';
import {
  BLADE_FAMILIES,
  BLADES,
  CHEMISTRIES,
  estimateCellResistance,
  gaugeArea,
} from '@skiametra/core/power';
import { parseCoefficientCsv } from '@skiametra/formats';
import { DocField, IntField } from '../../parts/QuantityField';
import { SheetTable } from '../../parts/SheetTable';
import { ThrusterPlaces } from '../../parts/ThrusterTable';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { useDrive } from './useDrive';

/** A choice bound to the document. */
export function Choice({
  label,
  path,
  data,
  fallback,
}: {
  label: string;
  path: string;
  data: readonly { value: string; label: string }[];
  fallback: string;
}) {
  const value = (useWorkspace((w) => getPath(w.content, path)) as string | undefined) ?? fallback;
  const edit = useWorkspace((w) => w.edit);
  return (
    <NativeSelect
      label={label}
      styles={{ label: { fontSize: '0.75rem', color: 'var(--ink-2)', fontWeight: 400 } }}
      value={value}
      onChange={(e) => edit({ type: 'set', path, value: e.currentTarget.value })}
      data={[...data]}
    />
  );
}

const FAMILIES = BLADE_FAMILIES.map((f) => ({ value: f, label: BLADES[f].name }));
const CELLS = CHEMISTRIES.map((c) => ({ value: c, label: c }));

export function PackFields({ at, tracked }: { at: string; tracked?: boolean }) {
  return (
    <div className="fields">
      <IntField label="Cells in series" path={`${at}.series`} />
      <IntField label="Cells in parallel" path={`${at}.parallel`} />
      <DocField label="Capacity" path={`${at}.capacity`} tracked={tracked} />
      <DocField label="Per cell" path={`${at}.cellResistance`} tracked={tracked} />
      <DocField label="Rate, C" path={`${at}.maxC`} tracked={tracked} />
      <DocField label="Usable" path={`${at}.usable`} tracked={tracked} />
      <Choice label="Chemistry" path={`${at}.chemistry`} data={CELLS} fallback="LiPo" />
      <DocField label="Lost to age" optional path={`${at}.age`} />
      <DocField label="Cells at" optional path={`${at}.temperature`} hint="25 °C where left empty" />
    </div>
  );
}

export function MotorFields({ at, tracked }: { at: string; tracked?: boolean }) {
  return (
    <div className="fields">
      <DocField label="Kv" path={`${at}.kv`} tracked={tracked} />
      <DocField label="Resistance" path={`${at}.resistance`} tracked={tracked} />
      <DocField label="No load" path={`${at}.noLoadCurrent`} tracked={tracked} />
      <DocField label="no load read at" optional path={`${at}.noLoadVolts`} />
      <DocField label="At most" path={`${at}.maxCurrent`} tracked={tracked} />
      <DocField label="Mass" optional path={`${at}.mass`} />
      <DocField label="Gear, to one" optional path={`${at}.gear`} />
      <DocField label="Winding limit" optional path={`${at}.maxTemperature`} hint="120 °C where left empty" />
    </div>
  );
}

export function BladeFields({ at, tracked }: { at: string; tracked?: boolean }) {
  return (
    <div className="fields">
      <DocField label="Diameter" path={`${at}.diameter`} tracked={tracked} />
      <DocField label="Pitch" path={`${at}.pitch`} tracked={tracked} />
      <IntField label="Blades" path={`${at}.blades`} />
      <Choice label="Kind of blade" path={`${at}.family`} data={FAMILIES} fallback="thin-electric" />
    </div>
  );
}

/** Pitch that is not the same everywhere: carved, or twisted by hand. */
function PitchByRadius() {
  const { power, at: drive } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const { propeller } = power,
    at = `${drive?.drive}.propeller.pitchAt`;
  if (!propeller.pitchAt)
    return (
      <Button
        size="compact-xs"
        variant="subtle"
        mt={6}
        onClick={() =>
          edit({
            type: 'set',
            path: at,
            value: [0.25, 0.5, 0.75, 1].map((r) => ({ r, pitch: propeller.pitch })),
          })
        }
      >
        Pitch by radius
      </Button>
    );
  return (
    <div className="mt8">
      <h2 className="head">
        Pitch by radius{' '}
        <Button
          size="compact-xs"
          variant="subtle"
          className="atend"
          onClick={() => edit({ type: 'set', path: at, value: undefined })}
        >
          One pitch
        </Button>
      </h2>
      <SheetTable
        path={at}
        caption="Pitch by radius"
        least={2}
        addLabel="Add a radius"
        newRow={() => ({ r: 0.6, pitch: propeller.pitch })}
        columns={[
          { key: 'r', label: 'r / R', cell: { type: 'quantity' } },
          { key: 'pitch', label: 'Pitch', cell: { type: 'quantity' } },
        ]}
      />
    </div>
  );
}

/** Measured or published coefficients in place of the blade computation. */
function TableOfBlades() {
  const { power, at } = useDrive(),
    { table, correction } = power.propeller,
    propeller = `${at?.drive}.propeller`;
  const edit = useWorkspace((w) => w.edit);
  const [error, setError] = useState<string | null>(null);
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > 200_000) {
      setError(`${f.name} is larger than 0.2 MB; nothing was taken.`);
      return;
    }
    void f.text().then((t) => {
      const r = parseCoefficientCsv(t);
      setError(
        r.status === 'error'
          ? `${f.name} was not taken. ${r.message}`
          : (edit({
              type: 'set',
              path: `${propeller}.table`,
              value: { name: f.name.slice(0, 100), rows: r.rows },
            }) ??
              r.remarks[0] ??
              null),
      );
    });
  };
  return (
    <div className="note mt8">
      {table ? (
        <div>
          Coefficients from {table.name}, {table.rows.length} rows.{' '}
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => edit({ type: 'set', path: `${propeller}.table`, value: undefined })}
          >
            Back to blade elements
          </Button>
        </div>
      ) : (
        <FileButton onChange={open} accept=".csv,text/csv" inputProps={{ 'aria-label': 'Coefficient file' }}>
          {(p) => (
            <Button size="compact-xs" variant="subtle" {...p}>
              CT, CP by J from a CSV
            </Button>
          )}
        </FileButton>
      )}
      {correction && (
        <div>
          Bench over computed: thrust {correction.thrust.toFixed(2)}, torque {correction.torque.toFixed(2)}.{' '}
          <Button
            size="compact-xs"
            variant="subtle"
            onClick={() => edit({ type: 'set', path: `${propeller}.correction`, value: undefined })}
          >
            Forget
          </Button>
        </div>
      )}
      {error && (
        <div role="alert" className="stoptext">
          {error}
        </div>
      )}
    </div>
  );
}

const PARTS = [
  ['pack', 'Pack'],
  ['motor', 'Motor'],
  ['propeller', 'Propeller'],
  ['rest', 'Controller, wire, more'],
] as const;

export function DriveInputs() {
  const { at } = useDrive();
  const [part, setPart] = useState<(typeof PARTS)[number][0]>('pack');
  if (!at) return null;
  return (
    <section className="block" aria-label="Parts of the drive">
      <NativeSelect
        aria-label="Part of the drive"
        value={part}
        onChange={(e) => setPart(e.currentTarget.value as typeof part)}
        data={PARTS.map(([value, label]) => ({ value, label }))}
        mb={8}
      />
      {part === 'pack' && <Packs at={at} />}
      {part === 'motor' && <Motor drive={at.drive} />}
      {part === 'propeller' && <Propeller drive={at.drive} />}
      {part === 'rest' && <Rest drive={at.drive} />}
    </section>
  );
}

function Packs({ at }: { at: { drive: string; pack: string | null; second: string | null } }) {
  const { design, power, apply } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const { battery: b } = power;
  if (!at.pack) return <p className="dim">No pack feeds this drive.</p>;
  const estimate = Number(
    estimateCellResistance(b.capacity / b.parallel, b.maxC, b.chemistry).toPrecision(2),
  );
  return (
    <>
      <PackFields at={at.pack} tracked />
      <Button
        size="compact-xs"
        variant="subtle"
        mt={6}
        title="0.1 / (Ah √C), for a pack at room temperature; cold and age come on top"
        onClick={() => edit({ type: 'set', path: `${at.pack}.cellResistance`, value: estimate })}
      >
        Estimate the resistance
      </Button>
      {at.second ? (
        <div className="part">
          <h2 className="head">
            Second pack{' '}
            <Button
              className="atend"
              size="compact-xs"
              variant="subtle"
              onClick={() => apply(withoutSecondPack(design), 'Second pack taken out')}
            >
              Take out
            </Button>
          </h2>
          <Choice label="Joined" path={`${at.drive}.joined`} fallback="parallel" data={JOINED} />
          <PackFields at={at.second} />
        </div>
      ) : (
        <Button
          size="compact-xs"
          variant="subtle"
          mt={6}
          onClick={() => apply(withSecondPack(design), 'Second pack')}
        >
          Add a second pack
        </Button>
      )}
    </>
  );
}
const JOINED = [
  { value: 'parallel', label: 'in parallel' },
  { value: 'series', label: 'in series' },
];

function Motor({ drive }: { drive: string }) {
  return (
    <>
      <MotorFields at={`${drive}.motor`} tracked />
      <div className="fields after">
        <Choice label="Built as" path={`${drive}.motor.kind`} fallback="outrunner" data={BUILDS} />
        <DocField label="Cooling, 0 shut in, 1 in the stream" optional path={`${drive}.motor.cooling`} />
      </div>
      <Shafts />
    </>
  );
}
const BUILDS = [
  { value: 'outrunner', label: 'outrunner' },
  { value: 'inrunner', label: 'inrunner' },
];

function Propeller({ drive }: { drive: string }) {
  const { at } = useDrive();
  return (
    <>
      <BladeFields at={`${drive}.propeller`} tracked />
      {at?.thruster && (
        <div className="fields after">
          <DocField label="Stands at x" path={`${at.thruster}.x`} />
          <DocField label="Height, z" path={`${at.thruster}.z`} />
          <DocField label="Down thrust" optional path={`${at.thruster}.down`} />
          <DocField label="Right thrust" optional path={`${at.thruster}.right`} />
        </div>
      )}
      <PitchByRadius />
      <TableOfBlades />
      <Fan />
    </>
  );
}

const GAUGES = [
  { value: '', label: 'AWG …' },
  ...[8, 10, 12, 14, 16, 18, 20, 22].map((n) => ({ value: String(n), label: `AWG ${n}` })),
];

function Rest({ drive }: { drive: string }) {
  const { design, power, apply } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const set = (key: string, value: unknown) => edit({ type: 'set', path: `${drive}.${key}`, value });
  return (
    <>
      <div className="fields">
        <DocField label="Controller" path={`${drive}.controller.resistance`} tracked />
        <DocField label="At most" path={`${drive}.controller.maxCurrent`} tracked />
        <DocField label="Avionics" path="document.design.power.avionicsCurrent" tracked />
        <DocField label="Lap throttle" path="document.design.flight.lapThrottle" />
      </div>
      {power.wire ? (
        <div className="fields after">
          <DocField label="Wire, one way" path={`${drive}.wire.length`} />
          <DocField label="Copper of one core" path={`${drive}.wire.area`} />
          <NativeSelect
            label="or by gauge"
            value=""
            onChange={(e) => {
              if (e.currentTarget.value) set('wire.area', gaugeArea(Number(e.currentTarget.value)));
            }}
            data={GAUGES}
          />
        </div>
      ) : (
        <Button
          size="compact-xs"
          variant="subtle"
          mt={6}
          onClick={() => set('wire', { length: 0.15, area: 2.08e-6 })}
        >
          Add the wire between pack and controller
        </Button>
      )}
      <div className="part">
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() => apply(driveFitted(design, false), 'Flown as a glider')}
        >
          Fly it as a glider, without motor
        </Button>
      </div>
    </>
  );
}

const ONE = { count: 1, kind: 'apart', tilt: false } as const;
const KINDS = [
  { value: 'apart', label: 'apart from each other' },
  { value: 'counter-rotating', label: 'behind each other, counter-rotating' },
];

/** How many shafts the drive turns, and how they stand. */
function Shafts() {
  const { design, power, apply } = useDrive();
  const a = power.arrangement;
  const arrange = (more: Partial<Arrangement>) =>
    apply(arranged(design, { ...ONE, ...a, ...more }), 'Shafts of the drive');
  if (!a)
    return (
      <Button size="compact-xs" variant="subtle" mt={6} onClick={() => arrange({ count: 2 })}>
        More than one motor
      </Button>
    );
  return (
    <div className="after">
      <div className="fields">
        <NativeSelect
          label="Motors"
          value={String(a.count)}
          onChange={(e) => arrange({ count: Number(e.currentTarget.value) })}
          data={['1', '2', '3', '4', '5', '6', '7', '8']}
        />
        <NativeSelect
          label="Arranged"
          value={a.kind}
          onChange={(e) => arrange({ kind: e.currentTarget.value as Arrangement['kind'] })}
          data={KINDS}
        />
        <Switch
          size="xs"
          label="Shafts tilt up for hover"
          checked={a.tilt}
          onChange={(e) => arrange({ tilt: e.currentTarget.checked })}
        />
        <Button size="compact-xs" variant="subtle" onClick={() => apply(arranged(design, ONE), 'One motor')}>
          Only one motor
        </Button>
      </div>
      <ThrusterPlaces />
    </div>
  );
}

/** A fan of a usual size to begin from. */
export const USUAL_FAN = { diameter: 0.09, hub: 0.4, exitRatio: 0.9, efficiency: 0.65, exitSpeedRatio: 0.45 };

function Fan() {
  const { power, at } = useDrive();
  const edit = useWorkspace((w) => w.edit);
  const fan = `${at?.drive}.fan`;
  if (!power.fan)
    return (
      <Button
        size="compact-xs"
        variant="subtle"
        onClick={() => edit({ type: 'set', path: fan, value: USUAL_FAN })}
      >
        A ducted fan instead
      </Button>
    );
  return (
    <div className="mt8">
      <h2 className="head">
        Ducted fan{' '}
        <Button
          size="compact-xs"
          variant="subtle"
          className="atend"
          onClick={() => edit({ type: 'set', path: fan, value: undefined })}
        >
          Back to the propeller
        </Button>
      </h2>
      <div className="fields">
        <DocField label="Diameter" path={`${fan}.diameter`} />
        <DocField label="Hub over tip" path={`${fan}.hub`} />
        <DocField label="Exit over swept area" path={`${fan}.exitRatio`} />
        <DocField label="Shaft to jet" path={`${fan}.efficiency`} />
        <DocField label="Jet over tip speed" path={`${fan}.exitSpeedRatio`} />
      </div>
    </div>
  );
}
