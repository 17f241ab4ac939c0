'use client';
/** The one field for numbers. */
import { Glossed } from '../glossary/Glossed';
import { Input } from '@mantine/core';
import type { Basis } from '@skiametra/core/design';
import {
  KINDS,
  formatForEditing,
  formatQuantity,
  fromShown,
  parseQuantity,
  shownUnit,
  toShown,
  unitLabel,
  type Comma,
  type KindName,
  type ParseResult,
} from '@skiametra/core/units';
import { useId, useState, type KeyboardEvent } from 'react';
import { CommaQuestion, knownComma, rememberComma } from '../CommaQuestion';
import { useCommitOnLeave } from '../useCommitOnLeave';
import { useWorkspace } from '../workspace/useWorkspace';
import { BasisMark } from './BasisMark';

interface Props {
  label: string;
  value: number | null;
  kind: KindName;
  /** takes the SI value; returns a sentence when it is refused */
  onCommit: (si: number) => string | null;
  onClear?: (() => string | null) | undefined;
  hideLabel?: boolean | undefined;
  hideUnit?: boolean | undefined;
  basis?: { value: Basis; onChange: (b: Basis) => void } | undefined;
  hint?: string | undefined;
  /** what is usual [SI]: outside it a word says so */ usual?: readonly [number, number] | undefined;
  /** nudge in the shown unit */ step?: number | undefined;
}

/** The one field for numbers: units, small sums, arrow keys to nudge, Escape to restore, a wrong entry says why and stays. */
export function QuantityField({
  label,
  value,
  kind,
  onCommit,
  onClear,
  hideLabel,
  hideUnit,
  basis,
  hint,
  usual,
  step: own,
}: Props) {
  const id = useId();
  const system = useWorkspace((w) => w.units);
  const unit = shownUnit(kind, system);
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [open, setOpen] = useState<{ decimal: number; thousands: number } | null>(null);
  const person = useWorkspace((w) => w.person.id);
  const shown = text ?? (value === null ? '' : formatForEditing(value, kind, system));

  const commit = () => {
    if (text === null) return;
    if (text.trim() === '' && onClear) {
      setError(onClear());
      setText(null);
      return;
    }
    take(parseQuantity(text, kind, system, knownComma(person)));
  };
  const take = (r: ParseResult) => {
    setOpen(r.status === 'error' ? (r.comma ?? null) : null);
    if (r.status === 'error') {
      setError(r.message);
      return;
    }
    const refused = onCommit(r.si);
    setError(inUnits(refused));
    if (!refused) setText(null);
  };
  useCommitOnLeave(text !== null, commit);
  const answer = (comma: Comma) => {
    rememberComma(person, comma);
    if (text !== null) take(parseQuantity(text, kind, system, comma));
  };
  const inUnits = (sentence: string | null) =>
    sentence && sentence.replace(/⟦([^⟧]*)⟧/g, (_, si: string) => formatQuantity(Number(si), kind, system));
  const nudge = (sign: number, big: boolean) => {
    const now = value ?? 0;
    const step = (own ?? KINDS[kind].step) * (big ? 10 : 1);
    const si = fromShown(Number((toShown(now, unit) + sign * step).toPrecision(10)), unit);
    const refused = onCommit(si);
    setError(inUnits(refused));
    if (!refused) setText(null);
  };
  const onKeyDown = (e: KeyboardEvent<HTMLInputElement>) => {
    if (e.key === 'Enter') commit();
    else if (e.key === 'Escape') {
      setText(null);
      setError(null);
      setOpen(null);
    } else if (e.key === 'ArrowUp' || e.key === 'ArrowDown') {
      if (hideLabel && !e.altKey) return;
      e.preventDefault();
      nudge(e.key === 'ArrowUp' ? 1 : -1, e.shiftKey);
    }
  };

  return (
    <div className={`qf${error ? ' bad' : ''}`} title={hint}>
      {!hideLabel && (
        <div className="labelrow">
          <label htmlFor={id}>
            <Glossed text={label} />
          </label>
          {basis && <BasisMark value={basis.value} onChange={basis.onChange} of={label} />}
        </div>
      )}
      <div className="box">
        <Input
          unstyled
          id={id}
          value={shown}
          inputMode="decimal"
          autoComplete="off"
          aria-label={hideLabel ? label : undefined}
          aria-invalid={error !== null}
          aria-describedby={error ? `${id}-e` : undefined}
          onChange={(e) => setText(e.target.value)}
          onBlur={commit}
          onKeyDown={onKeyDown}
          onFocus={(e) => e.target.select()}
        />
        {!hideUnit && unitLabel(unit) && <span className="unit">{unitLabel(unit)}</span>}
      </div>
      {!error && !hideLabel && usual && value !== null && !(value >= usual[0] && value <= usual[1]) && (
        <div className="dim usual">
          usual: {formatQuantity(usual[0], kind, system)} to {formatQuantity(usual[1], kind, system)}
        </div>
      )}
      {error && (
        <div className="err" id={`${id}-e`} role="alert">
          {error}
          {open && <CommaQuestion open={open} kind={kind} onAnswer={answer} />}
        </div>
      )}
    </div>
  );
}
