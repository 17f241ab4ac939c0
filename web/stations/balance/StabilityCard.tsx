'use client';
/** What the numbers of stability mean for the pilot. */
import { Sentence } from '../../parts/Sentence';
import type { LayoutReport } from '@skiametra/core/views';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
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
  const d = report.derivatives;
  const rows: [string, string, number][] = [
    ['CLα', 'lift slope', d.CLalpha],
    ['Cmα', 'pitch stiffness', d.Cmalpha],
    ['Cmq', 'pitch damping', d.Cmq],
    ['Cmδ', 'elevator power', d.Cmelevator],
    ['CYβ', 'side force', d.CYbeta],
    ['Clβ', 'dihedral effect', d.Clbeta],
    ['Cnβ', 'weathercock', d.Cnbeta],
    ['Clp', 'roll damping', d.Clp],
    ['Cnp', 'yaw from roll', d.Cnp],
    ['Clr', 'roll from yaw', d.Clr],
    ['Cnr', 'yaw damping', d.Cnr],
    ['Clδ', 'aileron power', d.Claileron],
    ['Cnδa', 'adverse yaw', d.Cnaileron],
    ['Cnδr', 'rudder power', d.Cnrudder],
  ];
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
          <div key={h.id} className={`${`finding ${h.judgement}`} pad4`}>
            <span
              className="sev"
              aria-hidden="true"
              style={h.judgement === 'fine' ? { color: 'var(--fine)' } : undefined}
            >
              {SIGN[h.judgement]}
            </span>
            <div style={{ flex: 1, display: 'grid', gridTemplateColumns: '190px minmax(0, 1fr)', gap: 10 }}>
              <div>
                <b>{h.name}</b>
                <div className="num dim tiny">{h.figure}</div>
              </div>
              <div>{h.words}</div>
            </div>
          </div>
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
        <details open>
          <summary className="dim clickable note">Derivatives about the CG, per rad</summary>
          <div className="columns2 small">
            {rows.map(([k, n, v]) => (
              <div key={k} className="line apart whole">
                <span title={n}>
                  {k} <span className="dim">{n}</span>
                </span>
                <span className="num">{v.toFixed(3)}</span>
              </div>
            ))}
          </div>
        </details>
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
        <table className="sheet">
          <thead>
            <tr>
              <th>Control</th>
              <th className="num">Area [dm²]</th>
              <th className="num">Hinge moment [N·m]</th>
              <th className="num">Asks of the servo [kg·cm]</th>
              <th className="num">Servo has</th>
            </tr>
          </thead>
          <tbody>
            {report.controls.map((c) => (
              <tr key={`${c.surface}${c.control}`}>
                <td>{c.name}</td>
                <td className="num">{formatValue(c.area, 'area', units)}</td>
                <td className="num">{c.torque.toFixed(3)}</td>
                <td className="num">{c.askedKgCm.toFixed(1)}</td>
                <td className={`num ${c.margin !== null && c.margin < 1 ? 'stoptext' : ''}`}>
                  {c.margin === null ? '–' : `×${c.margin.toFixed(1)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
