'use client';
/** The checks of ground, fit, hover and built shape. */
import { DESIGN } from '../../parts/paths';
import { Button } from '@mantine/core';
import { standsWherePut } from '@skiametra/core/mass';
import { formatQuantity } from '@skiametra/core/units';
import type { LayoutReport } from '@skiametra/core/views';
import { DocField } from '../../parts/fields/DocField';
import { Sentence } from '../../parts/Sentence';
import { DocTable } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { deg, pct } from './saidAs';

export function ChecksPanel({ report }: { report: LayoutReport }) {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const mm = (v: number) =>
    formatQuantity(Math.round(v * 1000) / 1000, 'length', units).replace(/\.0+(?= )/, '');
  const { ground: g, hover: h, warp } = report;
  const wing = design.surfaces.find((s) => s.role === 'wing')!,
    tip = wing.stations[wing.stations.length - 1];
  return (
    <div className="stack gap12">
      <section className="block">
        <h2>On the ground</h2>
        {!g ? (
          <p className="dim flush">Enter wheels or skids under Shape, Body.</p>
        ) : (
          <>
            <div>
              {g.kind === 'skid' ? 'Stands on its main wheels only' : `Stands on a ${g.kind}`}: track{' '}
              {mm(g.track)}
              {g.propellerClearance !== null && (
                <>
                  , propeller clears the ground by <b className="num">{mm(g.propellerClearance)}</b>
                </>
              )}
              ; overturn angle {deg(g.overturn, 0)}; CG {deg(Math.abs(g.tipBack), 0)}{' '}
              {g.kind === 'tail wheel' ? 'behind' : 'ahead of'} the main wheels; rotates{' '}
              {deg(g.tailStrike, 0)} until {g.strikes} touches
              {g.kind !== 'skid' ? `; ${pct(g.endLoad, 0)} of the weight on the ${g.kind}` : ''}.
            </div>
            {report.inGround && (
              <div className="dim note">
                Rolling, the wing stands {pct(report.inGround.height, 0)} of its span above the ground: lift
                slope ×{report.inGround.slope.toFixed(2)}, induced drag ×{report.inGround.induced.toFixed(2)}.
                The ground run is computed without it.
              </div>
            )}
            {report.groundRemarks.map((r) => (
              <div key={r.said.code} className={r.severity === 'stop' ? 'stoptext' : 'looktext'}>
                ▲ <Sentence of={r.said} />
              </div>
            ))}
          </>
        )}
      </section>
      <section className="block">
        <h2>Inside the body</h2>
        {report.fit.length === 0 ? (
          <p className="dim flush">Give the battery and what else must fit its size: </p>
        ) : (
          <table className="sheet" aria-label="Fit">
            <thead>
              <tr>
                <th>Item</th>
                <th>Fits</th>
                <th className="num">May travel</th>
                <th>Runs into</th>
              </tr>
            </thead>
            <tbody>
              {report.fit.map((f) => (
                <tr key={f.item}>
                  <td>{f.name}</td>
                  <td className={f.inside ? '' : 'stoptext'}>
                    {f.inside ? `yes, ${pct(f.room, 0)} to spare` : '✕ sticks out'}
                  </td>
                  <td className="num">
                    {f.travel ? `${mm(f.travel.from)} to ${mm(f.travel.to)}` : 'nowhere'}
                    {f.blocked ? ' ▲ less than its range' : ''}
                  </td>
                  <td className={f.meets.length ? 'stoptext' : ''}>{f.meets.join(', ') || '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <details>
          <summary className="dim clickable">Sizes</summary>
          {design.items
            .filter((i) => !i.inWing && standsWherePut(i))
            .map((i) =>
              i.box ? (
                <div
                  key={i.id}
                  style={{ display: 'grid', gridTemplateColumns: '1fr 80px 80px 80px', gap: 8 }}
                >
                  <span>{i.name}</span>
                  <DocField label="long" path={`${DESIGN}.items.${i.id}.box.length`} />
                  <DocField label="wide" path={`${DESIGN}.items.${i.id}.box.width`} />
                  <DocField label="high" path={`${DESIGN}.items.${i.id}.box.height`} />
                </div>
              ) : (
                <Button
                  key={i.id}
                  size="compact-xs"
                  variant="subtle"
                  onClick={() =>
                    edit({
                      type: 'set',
                      path: `${DESIGN}.items.${i.id}.box`,
                      value: { length: 0.05, width: 0.03, height: 0.02 },
                    })
                  }
                >
                  size of {i.name.toLowerCase()}
                </Button>
              ),
            )}
        </details>
      </section>
      {h && (
        <section className="block">
          <h2>Hover</h2>
          <div>
            Thrust to weight <b className="num">{h.thrustToWeight.toFixed(2)}</b> (
            {h.thrustToWeight >= 2
              ? 'above 2: room to climb and steer'
              : h.thrustToWeight >= 1.5
                ? 'between 1.5 and 2: the least for gentle work'
                : 'below 1.5: too little'}
            ); the CG lies {mm(Math.abs(h.offsetX))} {h.offsetX > 0 ? 'behind' : 'ahead of'} the rotors’
            middle and may lie from {mm(h.from)} to {mm(h.to)}; it can lean {deg(h.lean, 0)} and still carry
            itself.
          </div>
          <table className="sheet">
            <tbody>
              {h.rotors.map((r) => (
                <tr key={r.id}>
                  <td>{r.name}</td>
                  <td className="num">{formatQuantity(r.thrust, 'force', units)}</td>
                  <td className="num">{pct(r.share)}</td>
                  <td className={`num ${r.load > 0.75 ? 'stoptext' : ''}`}>
                    {pct(r.load, 0)} of its largest
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <section className="block">
        <h2>As built against as drawn</h2>
        <DocTable
          path={`${DESIGN}.built`}
          caption="Measured twist"
          {...(design.built
            ? {
                addLabel: 'Add a station',
                newRow: () => ({
                  surface: wing.id,
                  side: 'right',
                  y: tip.y,
                  twist: tip.twist + wing.incidence,
                }),
              }
            : {})}
          columns={[
            {
              key: 'surface',
              label: 'Surface',
              cell: {
                type: 'choice',
                options: design.surfaces
                  .filter((s) => s.role !== 'fin')
                  .map((s) => ({ value: s.id, label: s.name })),
              },
            },
            {
              key: 'side',
              label: 'Side',
              cell: {
                type: 'choice',
                options: [
                  { value: 'left', label: 'left' },
                  { value: 'right', label: 'right' },
                ],
              },
            },
            { key: 'y', label: 'Out', cell: { type: 'quantity' } },
            { key: 'twist', label: 'Incidence there', cell: { type: 'quantity' }, width: 90 },
          ]}
        />
        {!design.built && (
          <Button
            size="xs"
            variant="light"
            onClick={() =>
              edit({
                type: 'set',
                path: `${DESIGN}.built`,
                value: (['left', 'right'] as const).map((side) => ({
                  surface: wing.id,
                  side,
                  y: tip.y,
                  twist: tip.twist + wing.incidence,
                })),
              })
            }
          >
            Enter measured twist
          </Button>
        )}
        {design.built && (
          <details>
            <summary className="dim clickable">Halves on the scale</summary>
            {design.halves ? (
              <DocTable
                path={`${DESIGN}.halves`}
                caption="Mass of the halves"
                columns={[
                  {
                    key: 'surface',
                    label: 'Surface',
                    cell: {
                      type: 'choice',
                      options: design.surfaces
                        .filter((s) => s.role !== 'fin')
                        .map((s) => ({ value: s.id, label: s.name })),
                    },
                  },
                  { key: 'left', label: 'Left', cell: { type: 'quantity' } },
                  { key: 'right', label: 'Right', cell: { type: 'quantity' } },
                ]}
              />
            ) : (
              <Button
                size="compact-xs"
                variant="subtle"
                onClick={() =>
                  edit({
                    type: 'set',
                    path: `${DESIGN}.halves`,
                    value: [{ surface: wing.id, left: 0, right: 0 }],
                  })
                }
              >
                Weigh the wing’s halves
              </Button>
            )}
          </details>
        )}
        {warp && (
          <div className="mt8">
            <b>
              {warp.drifts === 'straight'
                ? 'No roll worth naming from the shape.'
                : `Hands off it rolls ${warp.drifts}.`}
            </b>{' '}
            {warp.aileron !== null &&
              warp.drifts !== 'straight' &&
              `${deg(Math.abs(warp.aileron))} of aileron holds it. `}
            {warp.drops && `At the stall it drops the ${warp.drops} wing.`}
            <div className="dim mt4">Candidate causes, and the flight that tells them apart:</div>
            {warp.causes.map((c) => (
              <div
                key={c.cause}
                style={{
                  fontSize: '0.8rem',
                  opacity: c.weight > 0 || warp.causes[0].weight === 0 ? 1 : 0.75,
                }}
              >
                {c.cause}. <span className="dim">{c.test}</span>
              </div>
            ))}
          </div>
        )}
      </section>
    </div>
  );
}
