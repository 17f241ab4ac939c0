'use client';
import { Input } from '@mantine/core';
import { useId, useState } from 'react';
import { formulaNames } from '@skiametra/core/assess';
import { compileFormula } from '@skiametra/core/score';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FormulaNames } from './FormulaNames';

/** A task's formula, checked as it is typed; a formula that cannot be read is shown but not taken over. */
export function FormulaEditor({ index }: { index: number }) {
  const id = useId();
  const brief = useWorkspace((w) => w.content.document.brief);
  const edit = useWorkspace((w) => w.edit);
  const [text, setText] = useState<string | null>(null);
  const stored = brief.tasks[index]?.formula ?? '';
  const shown = text ?? stored;
  const states = useWorkspace((w) => w.content.document.design.states);
  const loading = useWorkspace((w) => w.loading);
  const names = formulaNames(brief, { states });
  const checked = compileFormula(shown, names);
  const bad = checked.status === 'error';
  const change = (t: string) => {
    setText(t);
    if (compileFormula(t, names).status === 'ok')
      edit({ type: 'set', path: `document.brief.tasks.${index}.formula`, value: t });
  };
  const task = brief.tasks[index],
    flown = !task || task.state === 'each' ? loading : task.state;
  /** At the end, with a space before it where there is none. */
  const put = (name: string) => change(`${shown}${/[\s(]$|^$/.test(shown) ? '' : ' '}${name}`);
  return (
    <div className={`qf${bad ? ' bad' : ''}`}>
      <div className="box">
        <Input
          unstyled
          id={id}
          value={shown}
          spellCheck={false}
          aria-label={`Task ${index + 1} formula`}
          aria-invalid={bad}
          aria-describedby={`${id}-e`}
          onChange={(e) => change(e.target.value)}
          onBlur={() => {
            if (!bad) setText(null);
          }}
          onKeyDown={(e) => {
            if (e.key === 'Escape') setText(null);
          }}
        />
      </div>
      <div className="formulabelow">
        <FormulaNames state={flown} onPick={put} />
      </div>
      {bad && (
        <div className="err" id={`${id}-e`} role="alert">
          {checked.message}{' '}
          <span className="num">
            {checked.at < shown.length
              ? `Here: ${shown.slice(Math.max(0, checked.at - 8), checked.at)}▸${shown.slice(checked.at, checked.at + 12)}`
              : ''}
          </span>{' '}
          The last good formula is still in force.
        </div>
      )}
      {!bad &&
        checked.warnings.map((w) => (
          <div key={w} className="small looktext">
            {w}
          </div>
        ))}
    </div>
  );
}
