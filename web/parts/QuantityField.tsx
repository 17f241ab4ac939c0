'use client';
import { useId, useState, type KeyboardEvent } from 'react';
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
import { BASES, documentField, type Basis } from '@skiametra/core/design';
import { CommaQuestion, knownComma, rememberComma } from './CommaQuestion';
import { useCommitOnLeave } from './useCommitOnLeave';
import { useWorkspace } from './workspace/useWorkspace';
import { getPath } from '@skiametra/core/design';

interface Props {
  label: string;
  value: number | null;
  kind: KindName;
  /** takes the SI value; returns a sentence when it is refused */
  onCommit: (si: number) => string | null;
  onClear?: () => string | null;
  hideLabel?: boolean;
  hideUnit?: boolean;
  basis?: { value: Basis; onChange: (b: Basis) => void };
  hint?: string;
  /** what is usual [SI]: outside it a word says so */ usual?: readonly [number, number];
  /** nudge in the shown unit */ step?: number;
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
          <label htmlFor={id}>{label}</label>
          {basis && <BasisMark value={basis.value} onChange={basis.onChange} of={label} />}
        </div>
      )}
      <div className="box">
        <input
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

const BASIS_SIGN: Record<Basis, string> = {
  guess: 'guess',
  calculated: 'calc.',
  catalogue: 'cat.',
  claimed: 'claim',
  weighed: 'weighed',
  measured: 'meas.',
};

/** How a number is known, chosen in place. */
export function BasisMark({
  value,
  onChange,
  of,
}: {
  value: Basis;
  onChange: (b: Basis) => void;
  of: string;
}) {
  return (
    <select
      className="basis cell"
      aria-label={`How ${of} is known`}
      value={value}
      onChange={(e) => onChange(e.target.value as Basis)}
    >
      {BASES.map((b) => (
        <option key={b} value={b}>
          {BASIS_SIGN[b]}
        </option>
      ))}
    </select>
  );
}

/** A name as a label begins. */
const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);

/**
 * A quantity field bound to a number of the document by its path, with its basis when `tracked`. Kind and label are those
 * that the schema declares, unless the place asks for others.
 */
export function DocField({
  label: named,
  path,
  kind: asked,
  tracked,
  hideLabel,
  hideUnit,
  hint,
  optional,
}: {
  /** as the schema names it where left out */ label?: string;
  path: string;
  /** as the schema declares it where left out */ kind?: KindName;
  tracked?: boolean;
  hideLabel?: boolean;
  hideUnit?: boolean;
  hint?: string;
  /** emptying the field takes the number out */ optional?: boolean | 'null';
}) {
  const declared = documentField(path.replace(/^document\./, '')),
    kind = asked ?? declared?.kind ?? 'ratio',
    label = named ?? capital(declared?.label ?? path);
  const value = useWorkspace((w) => getPath(w.content, path)) as number | null | undefined;
  const edit = useWorkspace((w) => w.edit);
  const basisKey = path.replace(/^document\.design\./, '');
  const basis = useWorkspace((w) => w.content.document.design.basis[basisKey]) ?? 'guess';
  const setBasis = (b: Basis) =>
    edit({ type: 'set', path: 'document.design.basis', value: { ...currentBasis, [basisKey]: b } });
  const currentBasis = useWorkspace((w) => w.content.document.design.basis);
  return (
    <QuantityField
      label={label}
      value={value ?? null}
      kind={kind}
      hideLabel={hideLabel}
      hideUnit={hideUnit}
      hint={hint ?? declared?.help}
      usual={declared?.usual}
      step={declared?.step}
      onCommit={(si) => edit({ type: 'set', path, value: si })}
      onClear={
        optional
          ? () => edit({ type: 'set', path, value: optional === 'null' ? null : undefined })
          : undefined
      }
      basis={tracked ? { value: basis, onChange: setBasis } : undefined}
    />
  );
}

/** Whole-number fields (cells, counts). */
export function IntField({ label, path }: { label: string; path: string }) {
  const value = useWorkspace((w) => getPath(w.content, path)) as number;
  const edit = useWorkspace((w) => w.edit);
  return (
    <QuantityField
      label={label}
      value={value}
      kind="count"
      onCommit={(si) => edit({ type: 'set', path, value: si })}
    />
  );
}

/** A line of text bound to the document; committed on leaving it. */
export function TextCell({
  label,
  path,
  area,
  rows = 2,
  placeholder,
}: {
  label: string;
  path: string;
  area?: boolean;
  rows?: number;
  placeholder?: string;
}) {
  const value = (useWorkspace((w) => getPath(w.content, path)) as string | undefined) ?? '';
  const edit = useWorkspace((w) => w.edit);
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const commit = () => {
    if (text === null || text === value) {
      setText(null);
      return;
    }
    const refused = edit({ type: 'set', path, value: text });
    setError(refused);
    if (!refused) setText(null);
  };
  useCommitOnLeave(text !== null, commit);
  const props = {
    'aria-label': label,
    value: text ?? value,
    placeholder,
    className: 'cell',
    onBlur: commit,
    'aria-invalid': error !== null,
    title: error ?? undefined,
    onKeyDown: (e: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      if (e.key === 'Escape') {
        setText(null);
        setError(null);
      } else if (e.key === 'Enter' && !area) commit();
    },
    onChange: (e: { target: { value: string } }) => setText(e.target.value),
  };
  return (
    <>
      {area ? (
        <textarea
          {...props}
          rows={rows}
          style={{
            width: '100%',
            border: '1px solid var(--hair)',
            background: 'transparent',
            color: 'var(--ink)',
            font: 'inherit',
            padding: 6,
            resize: 'vertical',
          }}
        />
      ) : (
        <input {...props} className="plaininput" />
      )}
      {error && (
        <div className="qf">
          <div className="err" role="alert">
            {error}
          </div>
        </div>
      )}
    </>
  );
}
