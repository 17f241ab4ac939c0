'use client';
/** What the numbers of stability mean for the pilot. */
import { Glossed } from '../../parts/glossary/Glossed';
import { Sentence } from '../../parts/Sentence';
import type { LayoutReport } from '@skiametra/core/views';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { ShownTable, type ShownColumn } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const SIGN = { stop: '✕', look: '!', fine: '✓' } as const;
const deg = (r: number) => `${((r * 180) / Math.PI).toFixed(1)}°`;

export function StabilityCard({ report }: { report: LayoutReport }) {
  const units = useWorkspace((w) => w.units);
  const name = useWorkspace(
    (w) => w.content.document.design.states.find((l) => l.id === report.loading)?.name,
  );
  const tailless = useWorkspace(
    (w) => !w.content.document.design.surfaces.some((s) => s.role === 'tail' || s.role === 'canard'),
  );
  const control =
    report.trim.control === 'none'
      ? 'It has no pitch control'
      : `${report.trim.control === 'incidence' ? 'Stabiliser turned' : 'Elevator'} ${deg(Math.abs(report.trim.elevator))} ${report.trim.elevator > 0 ? 'nose-down' : 'nose-up'}`;
  return (
    <div className="stack gap12">
      <section className="block" aria-label="Stability card">
        <h2>
          How {name} flies at {formatQuantity(report.speed, 'speed', units)}
        </h2>
        <div className="mb8">
          {control}, angle of attack {deg(report.trim.alpha)}.{' '}
          {report.handsOff
            ? `Controls in line it settles at ${formatQuantity(report.handsOff.speed, 'speed', units)}.`
            : 'Controls in line it finds no speed to settle at.'}
          {tailless
            ? ` Moment at no lift Cm₀ ${report.momentAtNoLift.toFixed(3)}: ${report.momentAtNoLift > 0 ? 'above zero, so it trims without up elevon at some speed.' : 'below zero; a tailless wing needs it above zero (with a falling slope) to trim: more washout at swept tips, or more reflex.'}`
            : ''}
        </div>
        {report.handling.map((h) => (
          <Judged key={h.id} handling={h} />
        ))}
      </section>
      <div className="cols cols-stabilitycard">
        <ChartFrame
          title="Moment about the CG, controls in line"
          height={170}
          xName="Angle of attack"
          xKind="angle"
          yName="Cm"
          yKind="ratio"
          series={[
            { name: 'Cm', x: report.moment.alpha, y: report.moment.cm, look: 'predicted' },
            { name: 'trimmed', x: [report.trim.alpha], y: [0], look: 'predicted', marks: true },
          ]}
        />
        <Derivatives of={report.derivatives} />
      </div>
      {report.thrust && (
        <section className="block">
          <h2>Thrust line</h2>
          <div>
            <Sentence of={report.thrust.said} /> <Sentence of={report.thrust.side} />
          </div>
        </section>
      )}
      <section className="block">
        <h2>
          Controls and servos{' '}
          <span className="right dim">
            full throw at the greatest level speed, a factor of 2 on the moment
          </span>
        </h2>
        <ShownTable
          name="Controls and servos"
          rows={report.controls}
          rowKey={(c) => `${c.surface}${c.control}`}
          columns={CONTROLS}
        />
      </section>
    </div>
  );
}

function Judged({ handling: h }: { handling: LayoutReport['handling'][number] }) {
  return (
    <div className={`finding ${h.judgement} pad4`}>
      <span className={h.judgement === 'fine' ? 'sev finetext' : 'sev'} aria-hidden="true">
        {SIGN[h.judgement]}
      </span>
      <div className="judged">
        <div>
          <b>
            <Glossed text={h.name} />
          </b>
          <div className="num dim tiny">{h.figure}</div>
        </div>
        <div>{h.words}</div>
      </div>
    </div>
  );
}

type Derivatives = LayoutReport['derivatives'];

/** Symbols beside their plain names. */
const NAMES: readonly [string, string, keyof Derivatives][] = [
  ['lift slope', 'CLα', 'CLalpha'],
  ['pitch stiffness', 'Cmα', 'Cmalpha'],
  ['pitch damping', 'Cmq', 'Cmq'],
  ['elevator power', 'Cmδ', 'Cmelevator'],
  ['side force', 'CYβ', 'CYbeta'],
  ['dihedral effect', 'Clβ', 'Clbeta'],
  ['yaw stiffness', 'Cnβ', 'Cnbeta'],
  ['roll damping', 'Clp', 'Clp'],
  ['yaw from roll', 'Cnp', 'Cnp'],
  ['roll from yaw', 'Clr', 'Clr'],
  ['yaw damping', 'Cnr', 'Cnr'],
  ['aileron power', 'Clδ', 'Claileron'],
  ['adverse yaw', 'Cnδa', 'Cnaileron'],
  ['rudder power', 'Cnδr', 'Cnrudder'],
];

function Derivatives({ of }: { of: Derivatives }) {
  const units = useWorkspace((w) => w.units);
  return (
    <details open>
      <summary className="dim clickable note">Derivatives about the CG, per rad</summary>
      <div className="columns2 small">
        {NAMES.map(([name, symbol, key]) => (
          <div key={key} className="line apart whole">
            <span>
              {name}{' '}
              <span className="dim">
                <Glossed text={symbol} />
              </span>
            </span>
            <span className="num">{formatValue(of[key], 'perRad', units)}</span>
          </div>
        ))}
      </div>
    </details>
  );
}

const CONTROLS: ShownColumn<LayoutReport['controls'][number]>[] = [
  { key: 'name', label: 'Control', fixed: true, value: (c) => c.name },
  { key: 'area', label: 'Area', kind: 'area', value: (c) => c.area },
  { key: 'torque', label: 'Hinge moment', kind: 'moment', value: (c) => c.torque },
  {
    key: 'asked',
    label: 'Asks of the servo [kg·cm]',
    hint: 'As servos are sold: kilograms at one centimetre',
    numeric: true,
    value: (c) => c.askedKgCm,
    render: (c) => c.askedKgCm.toFixed(1),
  },
  {
    key: 'margin',
    label: 'Servo has',
    numeric: true,
    value: (c) => c.margin,
    render: (c) => (
      <span className={c.margin !== null && c.margin < 1 ? 'stoptext' : undefined}>
        {c.margin === null ? '–' : `×${c.margin.toFixed(1)}`}
      </span>
    ),
  },
];
