'use client';
/** What would mend a stall that begins in the wrong place. */
import { Button } from '@mantine/core';
import type { LayoutAdvice } from '@skiametra/core/views';
import { useState } from 'react';
import { DocField } from '../../parts/fields/DocField';
import { DESIGN } from '../../parts/paths';
import { Sentence } from '../../parts/Sentence';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';
import { deg } from './StallPanel';

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
      <DocField
        label="Ailerons are to answer past the first stall"
        optional
        path={`${DESIGN}.flight.aileronReserve`}
        hint="2.5° where left empty"
      />
      <Button size="xs" variant="light" mt={6} loading={busy} onClick={() => void ask()}>
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
