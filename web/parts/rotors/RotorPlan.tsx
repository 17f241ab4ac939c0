'use client';
/** The craft from above: rotors with their sense and share, CG against the centre of thrust on one ruler. */
import type { Design } from '@skiametra/core/design';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';
import type { RotorReport } from '@skiametra/core/views';
import { rotorFrame, senseArc, type Disc, type RotorFrame } from './rotorFrame';

interface Props {
  design: Design;
  report: RotorReport;
  units: UnitSystem;
}

const THIN = { vectorEffect: 'non-scaling-stroke' as const };

export function RotorPlan({ design, report, units }: Props) {
  const f = rotorFrame(design, report),
    { box } = f;
  const off = report.share?.beside,
    words = off
      ? `CG ${formatQuantity(Math.abs(off.x), 'length', units)} beside what they hold`
      : 'CG among the rotors';
  return (
    <svg
      className="rotorplan"
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      width="100%"
      role="img"
      aria-label={`From above, nose up: ${f.discs.length} rotors, ${words}`}
    >
      <path d={f.body} className="rotorbody" {...THIN} />
      {f.discs.map((d) => (
        <RotorDisc key={d.id} d={d} f={f} />
      ))}
      <Ruler f={f} units={units} />
      <Marks f={f} />
    </svg>
  );
}

/** One rotor: its sense, its share of the weight, hatched by how hard it works. */
function RotorDisc({ d, f }: { d: Disc; f: RotorFrame }) {
  const hard = d.load !== null && d.load > 0.75;
  return (
    <g>
      <line x1={f.centre.u} y1={f.centre.v} x2={d.u} y2={d.v} className="rotorarm" {...THIN} />
      <circle cx={d.u} cy={d.v} r={d.r} className={hard ? 'rotordisc hard' : 'rotordisc'} {...THIN}>
        <title>{d.name}</title>
      </circle>
      {d.turns && <path d={senseArc(d, d.turns === 'right')} className="rotorsense" {...THIN} />}
      <text x={d.u} y={d.v} fontSize={2.5 * f.unit} textAnchor="middle" className="rotorname">
        {d.name}
      </text>
      {d.share !== null && d.load !== null && (
        <text x={d.u} y={d.v + 3.4 * f.unit} fontSize={2.4 * f.unit} textAnchor="middle">
          {(100 * d.share).toFixed(0)} % of the weight
        </text>
      )}
      {d.load !== null && (
        <text
          x={d.u}
          y={d.v + 6.6 * f.unit}
          fontSize={2.2 * f.unit}
          textAnchor="middle"
          className={hard ? 'stopfill' : 'dimfill'}
        >
          {(100 * d.load).toFixed(0)} % of its thrust
        </text>
      )}
    </g>
  );
}

/** Along the body: where the CG may lie, where it lies, where equal rotors push. */
function Ruler({ f, units }: { f: RotorFrame; units: UnitSystem }) {
  const { ruler: u, unit, box } = f;
  const near = Math.abs(f.cg.v - f.centre.v) < 3.4 * unit,
    label = (v: number, text: string, shift = 0) => (
      <text x={u + 2.4 * unit} y={v + 0.9 * unit + shift} fontSize={2.5 * unit} className="rotorname">
        {text}
      </text>
    );
  const up = f.cg.v <= f.centre.v ? -1 : 1;
  return (
    <g>
      <line
        x1={u}
        y1={box.y + 2 * unit}
        x2={u}
        y2={box.y + box.height - 2 * unit}
        className="rotorarm"
        {...THIN}
      />
      {f.band && (
        <rect
          x={u - 0.7 * unit}
          y={f.band.from}
          width={1.4 * unit}
          height={f.band.to - f.band.from}
          className="rotorband"
        />
      )}
      <Cross u={u} v={f.centre.v} unit={unit} />
      <Diamond u={u} v={f.cg.v} unit={unit} />
      {label(f.cg.v, `CG ${formatQuantity(f.cg.v, 'length', units)}`, near ? up * 2 * unit : 0)}
      {label(f.centre.v, `thrust ${formatQuantity(f.centre.v, 'length', units)}`, near ? -up * 2 * unit : 0)}
    </g>
  );
}

function Marks({ f }: { f: RotorFrame }) {
  return (
    <g>
      <Cross u={f.centre.u} v={f.centre.v} unit={f.unit} />
      <Diamond u={f.cg.u} v={f.cg.v} unit={f.unit} />
    </g>
  );
}

const Cross = ({ u, v, unit }: { u: number; v: number; unit: number }) => (
  <path
    d={`M${u - 1.4 * unit} ${v}h${2.8 * unit}M${u} ${v - 1.4 * unit}v${2.8 * unit}`}
    className="rotorcentre"
    {...THIN}
  />
);
const Diamond = ({ u, v, unit }: { u: number; v: number; unit: number }) => (
  <path
    d={`M${u} ${v - 1.3 * unit}l${1.3 * unit} ${1.3 * unit}l${-1.3 * unit} ${1.3 * unit}l${-1.3 * unit} ${-1.3 * unit}Z`}
    className="rotorcg"
    {...THIN}
  />
);
