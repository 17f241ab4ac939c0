'use client';
/** What is different in the state in view: how it leaves and returns, what hangs on it, what sits elsewhere. */
import { Checkbox, NativeSelect } from '@mantine/core';
import {
  LEAVING,
  LEAVING_WORDS,
  RETURNING,
  RETURNING_WORDS,
  leavingOf,
  returningOf,
} from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import type { LayoutReport } from '@skiametra/core/views';
import { DocField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useWinged } from '../../../parts/rotors/useRotors';
import { deg } from '../saidAs';
import { Flown } from './Flown';
import { Absent, Moved } from './Moved';
import { StateExtras } from './StateExtras';
import { useStateInView } from './useStateInView';

interface Props {
  cgX: number;
  tow: LayoutReport['tow'];
}

export function StateDetails({ cgX, tow }: Props) {
  const { state, path } = useStateInView();
  const winged = useWinged();
  if (!state) return null;
  return (
    <section className="block">
      <h2>What is different in {state.name}</h2>
      <Ways />
      {winged && (
        <p className="dim">
          Each way is judged by its own: a run by the strip, a throw by the height it costs, rotors by lift
          thrust. What it is told with stands under Flight.
        </p>
      )}
      <Flown />
      <StateExtras cgX={cgX} />
      {state.towed && (
        <div className="fields four">
          <DocField label="Towed mass" path={`${path}.towed.mass`} />
          <DocField label="Its drag area" path={`${path}.towed.dragArea`} />
          <DocField label="Line" path={`${path}.towed.line`} />
          <DocField label="Line across" path={`${path}.towed.lineDiameter`} />
        </div>
      )}
      {tow && <OnTheLine tow={tow} />}
      {state.sideArea && (
        <div className="fields three">
          <DocField label="Side area" path={`${path}.sideArea.area`} />
          <DocField label="at x" path={`${path}.sideArea.x`} />
        </div>
      )}
      {state.moved && <Moved path={`${path}.moved`} />}
      <Absent />
    </section>
  );
}

/** How it leaves and comes back, and in what order units go. */
function Ways() {
  const winged = useWinged();
  const design = useWorkspace((w) => w.content.document.design);
  const { state, path, change } = useStateInView();
  if (!state) return null;
  return (
    <div className="fields three">
      <DocField label="Added drag area" path={`${path}.addedDrag`} />
      {winged && (
        <Checkbox
          mt={18}
          label="hovers on its rotors"
          checked={state.hover ?? false}
          onChange={(e) => change({ hover: e.currentTarget.checked || undefined })}
        />
      )}
      <NativeSelect
        label="Leaves by"
        value={leavingOf(design, state)}
        onChange={(e) => change({ leaving: e.currentTarget.value })}
        data={LEAVING.map((k) => ({ value: k, label: LEAVING_WORDS[k] }))}
      />
      <NativeSelect
        label="Comes back by"
        value={returningOf(design, state)}
        onChange={(e) => change({ returning: e.currentTarget.value })}
        data={RETURNING.map((k) => ({ value: k, label: RETURNING_WORDS[k] }))}
      />
      <NativeSelect
        label="Units leave"
        value={state.leaves ?? 'outer first'}
        onChange={(e) => change({ leaves: e.currentTarget.value })}
        data={['outer first', 'front first', 'rear first']}
      />
    </div>
  );
}

function OnTheLine({ tow }: { tow: NonNullable<LayoutReport['tow']> }) {
  const units = useWorkspace((w) => w.units);
  return (
    <div>
      On the line: pulls {formatQuantity(tow.drag, 'force', units)} back and{' '}
      {formatQuantity(tow.weight, 'force', units)} down; hangs {formatQuantity(tow.below, 'distance', units)}{' '}
      below and {formatQuantity(tow.behind, 'distance', units)} behind, the line {deg(tow.angle, 0)} below the
      horizontal at the hook.
    </div>
  );
}
