'use client';
import { Button } from '@mantine/core';
import type { Finding } from '@skiametra/core/assess';
import { Sentence } from './Sentence';
import type { StationId } from './frame/stationList';
import { wellSentence } from './frame/stationMarks';
import { useKnown } from './useKnown';
import { useWorkspace } from './workspace/useWorkspace';

const SIGN = { stop: '✕', look: '!', ask: '?' } as const;
const WORD = { stop: 'Stop', look: 'Needs a look', ask: 'Is that meant' } as const;

/** Warnings as sentences, each with the button that mends it where there is one. */
function FindingList({ findings, empty }: { findings: readonly Finding[]; empty?: string | null }) {
  const edit = useWorkspace((w) => w.edit);
  if (findings.length === 0) return empty ? <p className="dim flush">{empty}</p> : null;
  return (
    <div role="list" aria-label="Findings">
      {findings.map((f, i) => (
        <div key={i} role="listitem" className={`finding ${f.severity}`}>
          <span className="sev" title={WORD[f.severity]}>
            <span aria-hidden="true">{SIGN[f.severity]}</span>
            <span className="vh">{WORD[f.severity]}: </span>
          </span>
          <div className="grow">
            <div>
              <Sentence of={f} />
            </div>
            {f.fix && (
              <Button
                mt={6}
                variant="light"
                onClick={() =>
                  edit({
                    type: 'apply',
                    changes: f.fix!.changes.map((c) => ({
                      path: `document.design.${c.path}`,
                      value: c.value,
                    })),
                  })
                }
              >
                <Sentence of={f.fix.label} />
              </Button>
            )}
          </div>
        </div>
      ))}
    </div>
  );
}

/** Findings of one station, or what it may say when it has none. */
export function StationFindings({ of }: { of: StationId }) {
  const known = useKnown();
  const units = useWorkspace((w) => w.units);
  const list = (known.ledger?.findings ?? []).filter((f) => f.station === of);
  return <FindingList findings={list} empty={wellSentence(of, known, units)} />;
}
