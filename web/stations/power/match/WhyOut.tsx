'use client';
/** Why one combination is not among the best. */
import { capital } from '../../../parts/capital';
import { Button, NativeSelect } from '@mantine/core';
import {
  indexOfCombination,
  outSaid,
  type MatchRow,
  type MatchTask,
  type PartsList,
} from '@skiametra/core/power';
import { formatQuantity } from '@skiametra/core/units';
import { sentence } from '@skiametra/core/words';
import { useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';

/** “Why is this one out”: any combination by hand. */
export function WhyOut({ parts, task }: { parts: PartsList; task: MatchTask }) {
  const [ids, setIds] = useState({
    motor: parts.motors[0]?.id ?? '',
    propeller: parts.propellers[0]?.id ?? '',
    pack: parts.packs[0]?.id ?? '',
  });
  const [answer, setAnswer] = useState<MatchRow | null>(null);
  const units = useWorkspace((w) => w.units);
  const ask = async () => {
    const index = indexOfCombination(parts, ids);
    if (index >= 0) setAnswer(await askCore<'matchOne'>({ task: 'matchOne', parts, match: task, index }));
  };
  const pick = (key: keyof typeof ids, label: string, list: readonly { id: string; name: string }[]) => (
    <NativeSelect
      aria-label={label}
      value={list.some((p) => p.id === ids[key]) ? ids[key] : list[0]?.id}
      onChange={(e) => {
        setIds({ ...ids, [key]: e.currentTarget.value });
        setAnswer(null);
      }}
      data={list.map((p) => ({ value: p.id, label: p.name }))}
    />
  );
  return (
    <section className="block" aria-label="Why is this one out">
      <h2>Why is this one out?</h2>
      <div className="stack gap8">
        {pick('motor', 'Motor asked about', parts.motors)}
        {pick('propeller', 'Propeller asked about', parts.propellers)}
        {pick('pack', 'Pack asked about', parts.packs)}
        <div>
          <Button variant="light" onClick={() => void ask()}>
            Look
          </Button>
        </div>
      </div>
      {answer && (
        <div role="status" className="note mt8">
          {answer.out.length === 0
            ? `It stays in: ${[
                `${formatQuantity(answer.levelSpeed, 'speed', units)} level`,
                `${formatQuantity(answer.climb, 'climbRate', units)} climb`,
                formatQuantity(answer.time, 'duration', units),
              ].join(', ')}.`
            : answer.out
                .map((o) => {
                  const s = sentence(outSaid(o, answer, task), units);
                  return `${capital(s)}.`;
                })
                .join(' ')}
        </div>
      )}
    </section>
  );
}
