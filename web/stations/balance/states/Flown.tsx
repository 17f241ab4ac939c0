'use client';
/** How a state is flown otherwise than drawn: flaps, incidences, gear, thrusters folded in, parts of the swap set. */
import { Checkbox, NativeSelect } from '@mantine/core';
import type { Design, Swap } from '@skiametra/core/design';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useStateInView } from './useStateInView';

const DROOPS = new Set(['flap', 'flaperon', 'aileron']);
const SWAPPED = [
  { kind: 'pack', label: 'Pack' },
  { kind: 'propeller', label: 'Propeller' },
  { kind: 'motor', label: 'Motor' },
] as const;

/** The list, or nothing of it: a state says nothing of what is as drawn. */
const some = <T,>(list: readonly T[]) => (list.length > 0 ? list : undefined);

const flapsOf = (design: Design) =>
  design.surfaces.flatMap((s) =>
    s.role === 'fin'
      ? []
      : s.controls.filter((c) => DROOPS.has(c.kind)).map((c) => ({ surface: s, control: c })),
  );

/** Flaps, ailerons together and incidences, each empty where it is as drawn. */
function Settings() {
  const design = useWorkspace((w) => w.content.document.design);
  const { state, change } = useStateInView();
  if (!state) return null;
  const flaps = state.flaps ?? [],
    set = state.set ?? [];
  return (
    <>
      {flapsOf(design).map(({ surface, control }) => {
        const of = (f: { surface: string; control: string }) =>
          f.surface === surface.id && f.control === control.id;
        const others = flaps.filter((f) => !of(f));
        return (
          <QuantityField
            key={`${surface.id}.${control.id}`}
            label={control.kind === 'aileron' ? `${control.name}s, both down` : `${control.name}, down`}
            kind="angle"
            value={flaps.find(of)?.angle ?? null}
            hint={`${surface.name}; empty: not set. Computed to 10°, further by handbook increments`}
            onCommit={(angle) =>
              change({ flaps: [...others, { surface: surface.id, control: control.id, angle }] })
            }
            onClear={() => change({ flaps: some(others) })}
          />
        );
      })}
      {design.surfaces
        .filter((s) => s.role !== 'fin')
        .map((s) => {
          const others = set.filter((q) => q.surface !== s.id);
          return (
            <QuantityField
              key={s.id}
              label={`${s.name} set to`}
              kind="angle"
              value={set.find((q) => q.surface === s.id)?.incidence ?? null}
              hint="Incidence in this state; empty: as drawn"
              onCommit={(incidence) => change({ set: [...others, { surface: s.id, incidence }] })}
              onClear={() => change({ set: some(others) })}
            />
          );
        })}
    </>
  );
}

/** Which part of the swap set it is flown with; of every kind one. */
function Fitted({ kind, label, swaps }: { kind: Swap['kind']; label: string; swaps: readonly Swap[] }) {
  const { state, change } = useStateInView();
  const own = swaps.filter((s) => s.kind === kind),
    fitted = state?.fitted ?? [];
  if (own.length === 0) return null;
  const ids = own.map((s) => s.id);
  return (
    <NativeSelect
      label={label}
      value={fitted.find((f) => ids.includes(f)) ?? ''}
      onChange={(e) => {
        const to = e.currentTarget.value,
          others = fitted.filter((f) => !ids.includes(f));
        change({ fitted: some(to === '' ? others : [...others, to]) });
      }}
      data={[{ value: '', label: 'the one fitted' }, ...own.map((s) => ({ value: s.id, label: s.label }))]}
    />
  );
}

function FoldedIn() {
  const thrusters = useWorkspace((w) => w.content.document.design.thrusters),
    retracts = useWorkspace((w) => w.content.document.design.wheels?.some((q) => q.retracts) ?? false);
  const { state, change } = useStateInView(),
    stowed = state?.stowed ?? [];
  const fold = (id: string, folded: boolean) =>
    change({ stowed: some(folded ? [...stowed, id] : stowed.filter((t) => t !== id)) });
  return (
    <div className="line gap12 wraps around8">
      {retracts && (
        <Checkbox
          label="wheels that retract are in"
          checked={state?.gear === 'up'}
          onChange={(e) => change({ gear: e.currentTarget.checked ? 'up' : undefined })}
        />
      )}
      {thrusters.map((t) => (
        <Checkbox
          key={t.id}
          label={`${t.name} folded in`}
          checked={stowed.includes(t.id)}
          onChange={(e) => fold(t.id, e.currentTarget.checked)}
        />
      ))}
    </div>
  );
}

export function Flown() {
  const swaps = useWorkspace((w) => w.content.document.design.swaps);
  const { state } = useStateInView();
  if (!state) return null;
  const set = [state.flaps, state.set, state.fitted, state.stowed, state.gear].filter((s) => s !== undefined);
  return (
    <details open={set.length > 0}>
      <summary className="dim clickable">
        Flaps, incidence, gear, parts flown{set.length > 0 ? ' (set)' : ''}
      </summary>
      <div className="fields three mt8">
        <Settings />
        {SWAPPED.map((s) => (
          <Fitted key={s.kind} {...s} swaps={swaps ?? []} />
        ))}
      </div>
      <FoldedIn />
    </details>
  );
}
