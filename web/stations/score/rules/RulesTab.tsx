'use client';
/** The same aircraft under the rules as written, under variants of them, and under those of the compared version. */
import { Button } from '@mantine/core';
import type { Variant } from '@skiametra/core/design';
import { useState } from 'react';
import { freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { UnderRules } from './UnderRules';
import { useRules } from './useRules';
import { VariantEditor } from './VariantEditor';

const PATH = 'document.brief.variants';

export function RulesTab() {
  const variants = useWorkspace((w) => w.content.document.brief.variants),
    edit = useWorkspace((w) => w.edit),
    { rows, busy, trouble } = useRules(),
    [chosen, choose] = useState<string | null>(null);
  const list = variants ?? [],
    shown = list.find((v) => v.id === chosen) ?? list[0] ?? null;
  const put = (next: Variant[]) =>
    edit({ type: 'set', path: PATH, value: next.length > 0 ? next : undefined });
  const add = () => {
    const made: Variant = {
      id: freshId('variant', list),
      name: 'Another rule',
      note: '',
      changes: [],
      factor: 1,
      added: '',
    };
    put([...list, made]);
    choose(made.id);
  };
  return (
    <div className="station two">
      <div className="stack">
        <p className="flush">
          A variant changes places of the brief: a short strip instead of the long one, last year’s window,
          another formula. The score is worked out under each, by every state.
        </p>
        {list.length > 0 && (
          <div className="line gap8 wraps" role="group" aria-label="Variants">
            {list.map((v) => (
              <Button
                key={v.id}
                size="compact-xs"
                variant={v.id === shown?.id ? 'filled' : 'default'}
                onClick={() => choose(v.id)}
              >
                {v.name}
              </Button>
            ))}
          </div>
        )}
        {shown && (
          <VariantEditor
            key={shown.id}
            variant={shown}
            onChange={(v) => put(list.map((x) => (x.id === v.id ? v : x)))}
            onRemove={() => put(list.filter((x) => x.id !== shown.id))}
          />
        )}
        <div>
          <Button variant="light" onClick={add}>
            Add a variant
          </Button>
        </div>
      </div>
      <div className="stack">
        {trouble && (
          <p role="alert" className="stoptext flush">
            {trouble}
          </p>
        )}
        {rows ? (
          <UnderRules rows={rows} busy={busy} />
        ) : (
          <p className="dim flush">The rules are being worked through …</p>
        )}
      </div>
    </div>
  );
}
