'use client';
/** Two combinations side by side. */
import { Button } from '@mantine/core';
import { quantityDef } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { sentence } from '@skiametra/core/words';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Ghost } from '../useGhost';
import { type Column, NEVER } from './foundColumns';

const COMPARED = [
  'mass',
  'staticThrust',
  'staticCurrent',
  'topSpeed',
  'climbRate',
  'groundRun',
  'lapTime',
  'laps',
  'energyLeft',
  'staticMargin',
  'score',
] as const;

/** Gains and losses that show: a thousandth of what is fitted now. */
function gainTone(gain: number, now: number): string {
  const least = 1e-3 * Math.abs(now);
  if (gain > least) return 'finetext';
  return gain < -least ? 'looktext' : '';
}

/** Up to four side by side, each through the whole assessment. */
export function Compared({
  columns,
  setColumns,
  ghost,
  setGhost,
}: {
  columns: Column[];
  setColumns: (c: Column[]) => void;
  ghost: Ghost | null;
  setGhost: (g: Ghost | null) => void;
}) {
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const at = (list: readonly { id: string; state: string; value: number }[], id: string) =>
    list.find((e) => e.id === id && e.state === loading)?.value ??
    list.find((e) => e.id === id && e.state === 'all')?.value;
  return (
    <section className="block" aria-label="Side by side">
      <h2>Side by side, through the whole assessment</h2>
      <div className="scrollx">
        <table className="sheet" aria-label="Combinations side by side">
          <thead>
            <tr>
              <th>
                <span className="vh">Number</span>
              </th>
              <th className="num">Fitted now</th>
              {columns.map((c) => (
                <th key={c.id} className="num wrapping atleast120">
                  {c.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {COMPARED.map((id) => {
              const def = quantityDef(id)!,
                now = ledger && at(ledger.entries, id);
              return now == null ? null : (
                <tr key={id} className="oneliner">
                  <td>{def.name}</td>
                  <td className="num">{formatQuantity(now, def.kind, units)}</td>
                  {columns.map((c) => {
                    const v = c.trial && at(c.trial.values, id);
                    const gain =
                      v != null && def.better !== 'none' ? (def.better === 'more' ? v - now : now - v) : 0;
                    return (
                      <td key={c.id} className={`num ${gainTone(gain, now)}`}>
                        {v == null
                          ? c.trial
                            ? '–'
                            : '…'
                          : v >= NEVER
                            ? 'never'
                            : formatQuantity(v, def.kind, units)}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
            <tr>
              <td>What is wrong</td>
              <td />
              {columns.map((c) => (
                <td key={c.id} className="wrapping tiny">
                  {[...(c.trial?.stopped ? [c.trial.stopped] : (c.trial?.findings.slice(0, 3) ?? []))]
                    .map((f) => sentence(f, units))
                    .join(' ')}
                </td>
              ))}
            </tr>
            <tr>
              <td />
              <td />
              {columns.map((c) => (
                <td key={c.id}>
                  <div className="line wraps gap4 toend">
                    <Button
                      size="compact-xs"
                      onClick={() => {
                        edit({
                          type: 'apply',
                          changes: c.changes.map((x) => ({
                            path: `document.design.${x.path}`,
                            value: x.value,
                          })),
                        });
                        setColumns(columns.filter((x) => x.id !== c.id));
                      }}
                    >
                      Fit
                    </Button>
                    <Button
                      size="compact-xs"
                      variant={ghost?.name === c.name ? 'filled' : 'default'}
                      disabled={!c.trial}
                      onClick={() =>
                        setGhost(ghost?.name === c.name ? null : { name: c.name, thrust: c.trial!.thrust })
                      }
                    >
                      Ghost
                    </Button>
                    <Button
                      size="compact-xs"
                      variant="subtle"
                      aria-label={`Take ${c.name} away`}
                      onClick={() => setColumns(columns.filter((x) => x.id !== c.id))}
                    >
                      ✕
                    </Button>
                  </div>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  );
}
