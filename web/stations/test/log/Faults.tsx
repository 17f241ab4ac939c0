'use client';
/** What is wrong with a log, each found, counted and shown; what was put right is taken back by a click. */
import { Checkbox, UnstyledButton } from '@mantine/core';
import { CHANNELS, faultId, type Fault, type FaultKind } from '@skiametra/core/log';

const WORDS: Readonly<Record<FaultKind, readonly [one: string, many: string, done: string]>> = {
  duplicates: ['row twice', 'rows twice', 'the second is left out'],
  disorder: ['row out of order', 'rows out of order', 'sorted by time'],
  jumps: ['clock jump', 'clock jumps', 'the time goes on'],
  gaps: ['gap', 'gaps', 'nothing is made up for it'],
  spikes: ['value that leaps away', 'values that leap away', 'left out'],
  frozen: ['fix that stands still in the air', 'fixes that stand still in the air', 'left out'],
  empty: ['empty cell', 'empty cells', 'nothing is made up for it'],
};
/** Kinds that may be taken back. */
const RETURNED: readonly FaultKind[] = ['jumps', 'spikes', 'frozen'];
const MOST = 12;

const channelName = (c: Fault['channel']) =>
  c === null ? '' : c === 'position' ? 'position' : CHANNELS[c].name;

export interface FaultsProps {
  faults: readonly Fault[];
  kept: readonly string[];
  onKept: (kept: string[]) => void;
  onLook: (from: number, to: number) => void;
}

export function Faults({ faults, kept, onKept, onLook }: FaultsProps) {
  if (faults.length === 0) return <p className="finetext flush">Nothing is wrong with this log.</p>;
  const kinds = [...new Set(faults.map((f) => f.kind))];
  return (
    <div className="stack gap8">
      {kinds.map((kind) => {
        const of = faults.filter((f) => f.kind === kind),
          count = of.reduce((s, f) => s + f.count, 0),
          [one, many, done] = WORDS[kind];
        return (
          <div key={kind}>
            <b>
              {count} {count === 1 ? one : many}
            </b>
            <span className="dim">: {done}</span>
            <div className="line wraps gap8">
              {of.slice(0, MOST).map((f) => (
                <OneFault key={faultId(f)} f={f} {...{ kept, onKept, onLook }} />
              ))}
              {of.length > MOST && <span className="dim tiny">and {of.length - MOST} more places</span>}
            </div>
          </div>
        );
      })}
    </div>
  );
}

function OneFault({ f, kept, onKept, onLook }: Omit<FaultsProps, 'faults'> & { f: Fault }) {
  const id = faultId(f),
    where = `${channelName(f.channel)} ${f.from.toFixed(1)} s`.trim();
  const look = () => onLook(f.from, f.to);
  if (!RETURNED.includes(f.kind))
    return (
      <UnstyledButton className="tiny linklike" onClick={look}>
        {where}
      </UnstyledButton>
    );
  const put = (right: boolean) => onKept(right ? kept.filter((k) => k !== id) : [...kept, id]);
  return (
    <span className="line gap8">
      <Checkbox
        size="xs"
        checked={!kept.includes(id)}
        aria-label={`Put right: ${f.kind} ${where}`}
        onChange={(e) => put(e.currentTarget.checked)}
      />
      <UnstyledButton className="tiny linklike" onClick={look}>
        {where}
      </UnstyledButton>
    </span>
  );
}
