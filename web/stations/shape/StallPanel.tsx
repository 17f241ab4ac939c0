'use client';
/** The stall in words, and what would change its order. */
import { Sentence } from '../../parts/Sentence';
import { Button } from '@mantine/core';
import { useState } from 'react';
import type { LayoutAdvice, LayoutReport } from '@skiametra/core/views';
import { AILERON_RESERVE } from '@skiametra/core/surface';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

const deg = (r: number, n = 1) => `${((r * 180) / Math.PI).toFixed(n)}°`;

export function StallWords({ report }: { report: LayoutReport }) {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const wanted = useWorkspace((w) => w.content.document.design.flight.aileronReserve) ?? AILERON_RESERVE;
  const { first, aileronReserve, aileronsLost } = report.stall;
  const name = (id: string) => surfaces.find((s) => s.id === id)?.name ?? id;
  const wing = first.find((f) => surfaces.find((s) => s.id === f.surface)?.role === 'wing');
  const fore = first.find((f) => surfaces.find((s) => s.id === f.surface)?.role === 'canard');
  const asym = report.stallCase.kind !== 'level';
  const place = (eta: number) =>
    eta < 0.25 ? 'at the root' : eta < 0.6 ? 'in the middle of the half span' : 'at the tip';
  return (
    <section className="block" aria-label="The stall">
      <h2>The stall</h2>
      {wing ? (
        <div>
          <b>{name(wing.surface)}</b> lets go first <b>{place(wing.eta)}</b>
          {asym ? ` on the ${wing.side}` : ''}, at {deg(wing.alpha)} angle of attack (
          {(100 * wing.eta).toFixed(0)} % of the half span).
        </div>
      ) : (
        <div>The wing does not stall up to {deg(report.stall.flows.at(-1)!.alpha, 0)}.</div>
      )}
      {fore && wing && (
        <div className={fore.alpha < wing.alpha ? '' : 'stoptext'}>
          {fore.alpha < wing.alpha
            ? `The foreplane goes ${deg(wing.alpha - fore.alpha)} earlier: the nose drops before the wing can stall.`
            : `The wing goes ${deg(fore.alpha - wing.alpha)} before the foreplane: the nose pitches up into the stall. Do not fly it.`}
        </div>
      )}
      {aileronReserve !== null && wing && (
        <div className={`mt4 ${aileronReserve < wanted ? 'looktext' : ''}`}>
          {aileronsLost === null
            ? 'The ailerons still answer at the end of the map'
            : `Half of the aileron span is gone at ${deg(aileronsLost)}: ${deg(aileronReserve)} after the first stall`}
          {aileronReserve < wanted ? `; ${deg(wanted)} is wanted.` : '.'}
        </div>
      )}
      {first.length > 1 && (
        <div className="dim small mt4">
          Order: {first.map((f) => `${name(f.surface)} ${deg(f.alpha)}`).join(', ')}.
        </div>
      )}
      {report.stall.rough && (
        <div className="dim small">
          Some angles past the stall did not settle: read the order, not the figures there.
        </div>
      )}
      <div className="dim small">
        A prediction to test by tufts, high up. Vortex tabs and turbulators would delay it, at a drag that
        must be flown.
      </div>
    </section>
  );
}

/** Washout, sections, tail, fin and decalage: computed when asked. */
export function StallRemedies() {
  const document = useWorkspace((w) => w.content.document);
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const edit = useWorkspace((w) => w.edit);
  const [advice, setAdvice] = useState<{ of: unknown; a: LayoutAdvice } | null>(null);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  if (!ledger || ledger.stopped) return null;
  const ask = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      setAdvice({
        of: document,
        a: await askCore<'layoutAdvice'>({ task: 'layoutAdvice', document, ledger, loading }),
      });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(false);
    }
  };
  const apply = (changes: readonly { path: string; value: unknown }[]) =>
    edit({
      type: 'apply',
      changes: changes.map((c) => ({ path: `document.design.${c.path}`, value: c.value })),
    });
  const a = advice?.a;
  const sections = document.design.sections;
  return (
    <section className="block" aria-label="What would mend it">
      <h2>What would mend it</h2>
      <Button size="xs" variant="light" loading={busy} onClick={() => void ask()}>
        {a ? 'Work it out again' : 'Work it out'}
      </Button>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {a && (
        <div className="stack gap8 mt8 note">
          {advice.of !== document && <div className="dim">For the shape before your last change.</div>}
          <div>
            {a.washout === null
              ? 'No washout up to 8° keeps the ailerons alive as long as wanted.'
              : a.washout.twist > -1e-6
                ? `The ailerons answer ${deg(a.washout.reserve)} past the first stall: no more washout is needed.`
                : `Least washout: ${deg(-a.washout.twist)} more at the tip. Price: CLmax ${a.washout.lostLift.toFixed(2)}, induced drag ${a.washout.addedDrag >= 0 ? '+' : '−'}${Math.abs(10000 * a.washout.addedDrag).toFixed(0)} counts.`}
          </div>
          {a.washoutFix && (
            <Button size="compact-xs" variant="default" onClick={() => apply(a.washoutFix!.changes)}>
              <Sentence of={a.washoutFix.label} />
            </Button>
          )}
          {a.sections.slice(0, 3).map((s) => (
            <div key={s.section}>
              Or {sections.find((q) => q.id === s.section)?.name} outboard: ailerons answer {deg(s.reserve)}{' '}
              past the first stall, CLmax {s.lostLift >= 0 ? '+' : '−'}
              {Math.abs(s.lostLift).toFixed(2)}.
            </div>
          ))}
          {a.tail && (
            <div>
              <Sentence of={a.tail.said} />
            </div>
          )}
          {a.tailFix && (
            <Button size="compact-xs" variant="default" onClick={() => apply(a.tailFix!.changes)}>
              <Sentence of={a.tailFix.label} />
            </Button>
          )}
          {a.fin && (
            <div>
              <Sentence of={a.fin.said} />
            </div>
          )}
          {a.decalage && (
            <div>
              <Sentence of={a.decalage.said} />
            </div>
          )}
          {a.decalage && (
            <Button size="compact-xs" variant="default" onClick={() => apply(a.decalage!.fix.changes)}>
              <Sentence of={a.decalage.fix.label} />
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
