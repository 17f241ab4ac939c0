'use client';
/** Solar cells: strings in the controller's window, one day of light, load and pack. */
import { DateField } from '../../parts/dates/DateField';
import { SOLAR } from '../../parts/paths';
import { sentence } from '@skiametra/core/words';
import { powertrainOf, type Powertrain } from '@skiametra/core/design';
import { Button, NativeSelect } from '@mantine/core';
import type { SolarArray, SolarDay } from '@skiametra/core/power';
import type { PowerReport } from '@skiametra/core/views';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StatePicker } from '../../parts/StatePicker';
import { DocField, IntField } from '../../parts/fields/DocField';
import { planformOf } from '@skiametra/core/surface';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const USUAL = {
  series: 20,
  strings: 1,
  cell: {
    area: 0.0153,
    mass: 0.0075,
    efficiency: 0.22,
    openVolts: 0.68,
    workVolts: 0.58,
    temperatureCoefficient: -0.0031,
  },
  controller: { minVolts: 5, maxVolts: 20, efficiency: 0.95, kind: 'boost' },
  latitude: 0.918,
  longitude: 0,
  date: '2026-06-21',
  clarity: 0.85,
  warming: 18,
};

const clock = (seconds: number) => new Date(seconds * 1000).toISOString().slice(11, 16);

export function SunTab({ report }: { report: PowerReport }) {
  const solar = useWorkspace((w) => powertrainOf(w.content.document.design).solar);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const wing = planformOf(surfaces.find((s) => s.role === 'wing')!);
  if (!solar || !report.solar)
    return (
      <div className="stack">
        <p className="atmost560">
          No cells on the wing. The wing has {formatQuantity(wing.area, 'area', units)}; covered in cells of{' '}
          {formatQuantity(USUAL.cell.efficiency, 'percent', units)} it would give{' '}
          {formatQuantity(1000 * USUAL.cell.efficiency * wing.area, 'power', units)} under a high sun.
        </p>
        <div>
          <Button variant="light" onClick={() => edit({ type: 'set', path: SOLAR, value: USUAL })}>
            Lay solar cells on the wing
          </Button>
        </div>
      </div>
    );
  const { array, day, load } = report.solar,
    x = day.rows.map((r) => r.time);
  const wingArea = array.area;
  const words = sunWords(report.solar, units);
  return (
    <div className="station cols-suntab">
      <CellFields solar={solar} />
      <SunCharts x={x} day={day} load={load} />
      <SunWords words={words} array={array} wingArea={wingArea} day={day} />
    </div>
  );
}

/** Cells, controller, place and day. */
interface CellFieldsProps {
  solar: NonNullable<Powertrain['solar']>;
}
function CellFields({ solar }: CellFieldsProps) {
  const edit = useWorkspace((w) => w.edit);
  return (
    <div className="stack">
      <section className="block">
        <h2>Cells</h2>
        <div className="fields">
          <IntField label="In a string" path={`${SOLAR}.series`} />
          <IntField label="Strings" path={`${SOLAR}.strings`} />
          <DocField label="Area of one" path={`${SOLAR}.cell.area`} />
          <DocField label="Mass of one" path={`${SOLAR}.cell.mass`} />
          <DocField label="Efficiency" path={`${SOLAR}.cell.efficiency`} />
          <DocField label="Volts at work" path={`${SOLAR}.cell.workVolts`} />
          <DocField label="Volts open" path={`${SOLAR}.cell.openVolts`} />
          <DocField label="Change per kelvin" path={`${SOLAR}.cell.temperatureCoefficient`} />
        </div>
      </section>
      <section className="block">
        <h2>Charge controller</h2>
        <div className="fields">
          <DocField label="Starts at" path={`${SOLAR}.controller.minVolts`} />
          <DocField label="Stands" path={`${SOLAR}.controller.maxVolts`} />
          <DocField label="Efficiency" path={`${SOLAR}.controller.efficiency`} />
          <NativeSelect
            label="Kind"
            value={solar.controller.kind}
            onChange={(e) =>
              edit({ type: 'set', path: `${SOLAR}.controller.kind`, value: e.currentTarget.value })
            }
            data={['boost', 'buck', 'direct']}
          />
        </div>
      </section>
      <section className="block">
        <h2>Where and when</h2>
        <div className="fields">
          <DocField label="North" path={`${SOLAR}.latitude`} />
          <DocField label="East" path={`${SOLAR}.longitude`} />
          <DateField
            label="Date"
            value={solar.date}
            onChange={(date) => edit({ type: 'set', path: `${SOLAR}.date`, value: date })}
          />
          <DocField label="Light through haze" path={`${SOLAR}.clarity`} />
          <DocField label="Cells over the air, K" path={`${SOLAR}.warming`} />
        </div>
      </section>
      <div>
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() => edit({ type: 'set', path: SOLAR, value: undefined })}
        >
          Take the cells off
        </Button>
      </div>
    </div>
  );
}

/** Power and charge through the day. */
interface SunChartsProps {
  x: number[];
  day: SolarDay;
  load: number;
}
function SunCharts({ x, day, load }: SunChartsProps) {
  return (
    <div className="stack">
      <ChartFrame
        title="Power of the cells and of level flight through the day"
        height={235}
        xName="Local solar time"
        xKind="clock"
        yName="Power"
        yKind="power"
        yFromZero
        series={[
          { name: 'cells, behind the controller', x, y: day.rows.map((r) => r.power), look: 'predicted' },
          { name: 'level flight', x: [Math.min(...x), Math.max(...x)], y: [load, load], look: 'ink' },
        ]}
      />
      <ChartFrame
        title={`Charge in the pack, launched at ${clock(day.launchTime)}`}
        height={170}
        xName="Local solar time"
        xKind="clock"
        yName="Pack"
        yKind="energy"
        yFromZero
        series={[{ name: 'left in the pack', x, y: day.rows.map((r) => r.charge), look: 'second' }]}
      />
    </div>
  );
}

/** The day in words, the array in numbers. */
interface SunWordsProps {
  words: string[];
  array: SolarArray;
  wingArea: number;
  day: SolarDay;
}
function SunWords({ words, array, wingArea, day }: SunWordsProps) {
  const units = useWorkspace((w) => w.units);
  return (
    <div className="stack">
      <div>
        <StatePicker />
      </div>
      <section className="block" aria-label="The day in words">
        <h2>The day in words</h2>
        {words.map((w, i) => (
          <p key={w} className={`below8 ${i === 0 && !array.starts ? 'stoptext' : ''}`}>
            {w}
          </p>
        ))}
      </section>
      <section className="block">
        <h2>Array</h2>
        {(
          [
            ['Cells', String(array.cells)],
            ['Wing area they take', formatQuantity(wingArea, 'area', units)],
            ['Mass', formatQuantity(array.mass, 'mass', units)],
            ['At full sun, 25 °C', formatQuantity(array.peak, 'power', units)],
            ['Current', formatQuantity(array.current, 'current', units)],
            ['Harvest of the day', formatQuantity(day.harvest, 'energy', units)],
            ['Used by a day aloft', formatQuantity(day.used, 'energy', units)],
          ] as const
        ).map(([n, v]) => (
          <div key={n} className="line apart note">
            <span className="dim">{n}</span>
            <span className="num">{v}</span>
          </div>
        ))}
      </section>
    </div>
  );
}

/** What the day comes to, in sentences. */
function sunWords(sun: NonNullable<PowerReport['solar']>, units: UnitSystem): string[] {
  const { array, day, load } = sun;
  return [
    sentence(array.said, units),
    day.leastLight === null
      ? `Level flight takes ${formatQuantity(load, 'power', units)}; the cells give ${formatQuantity(day.best, 'power', units)} at best and never carry it alone.`
      : day.leastHeight === null
        ? `${formatQuantity(day.leastLight, 'light', units)} of light would carry level flight (${formatQuantity(load, 'power', units)}); this day never has so much.`
        : `The sun alone carries level flight (${formatQuantity(load, 'power', units)}) from ${formatQuantity(day.leastLight, 'light', units)} on the wing: when it stands over ${formatQuantity(day.leastHeight, 'angle', units)}.`,
    day.allDay
      ? 'The pack lasts the night: it stays up.'
      : `Launched at ${clock(day.launchTime)} with a full pack it stays up for ${formatQuantity(day.aloft, 'clock', units)}.`,
    day.surplus >= 0
      ? `Over the day ${formatQuantity(day.surplus, 'energy', units)} are left over.`
      : `Over a whole day and night ${formatQuantity(-day.surplus, 'energy', units)} are missing.`,
    day.refill !== null
      ? `With nothing drawn the cells refill the pack in ${formatQuantity(day.refill, 'clock', units)}.`
      : 'In one day the cells do not refill the pack.',
  ];
}
