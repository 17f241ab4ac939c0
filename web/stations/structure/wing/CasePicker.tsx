'use client';
/** Which case is drawn: those that press the upper face, or those that press the lower. */
import type { CaseView } from '@skiametra/core/views';
import { CellSelect } from '../../../parts/fields/CellSelect';
import { CASE_NAMES } from '../caseNames';

interface Props {
  label: string;
  cases: readonly CaseView[];
  chosen: CaseView;
  safety: number;
  onChoose: (id: CaseView['id']) => void;
}

export function CasePicker({ label, cases, chosen, safety, onChoose }: Props) {
  const enough = chosen.factor >= safety;
  return (
    <div className="line gap8 mid caseline">
      <b>{label}</b>
      <CellSelect
        label={`Case ${label.toLowerCase()}`}
        value={chosen.id}
        options={cases.map((c) => ({
          value: c.id,
          label: `${CASE_NAMES[c.id]}: ${c.n.toFixed(1).replace('-', '−')} g`,
        }))}
        onChange={(id) => onChoose(id as CaseView['id'])}
      />
      <span className={`num grow ${enough ? 'dim' : 'stoptext'}`}>
        {enough
          ? `borne ${chosen.factor.toFixed(2)} times`
          : `✕ borne ${chosen.factor.toFixed(2)} times, ${safety} wanted`}
      </span>
    </div>
  );
}
