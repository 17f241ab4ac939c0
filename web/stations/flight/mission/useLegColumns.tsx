'use client';
/** Columns of the legs of a round: what is typed, then what the first time that it is flown takes. */
import { UnstyledButton } from '@mantine/core';
import { formatQuantity, type KindName } from '@skiametra/core/units';
import type { LegView, MissionReport } from '@skiametra/core/views';
import type { DocColumn, DocRow } from '../../../parts/table';
import { kindsFor, LEG_WORDS } from '../../../parts/mission/legKinds';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { edgeOf } from './StripBand';

const typed = (key: string, label: string, width: number): DocColumn => ({
  key,
  label,
  width,
  cell: { type: 'quantity', optional: key === 'speed' ? 'null' : true },
});

/** Figures of the first time that each leg is flown. */
function useShown(report: MissionReport | null) {
  const units = useWorkspace((w) => w.units);
  const viewOf = (row: DocRow) => report?.legs.find((l) => l.id === row.id);
  const shown = (
    key: string,
    label: string,
    kind: KindName,
    width: number,
    of: (l: LegView) => number,
  ): DocColumn => ({
    key,
    label,
    width,
    numeric: true,
    cell: {
      type: 'shown',
      value: (row) => {
        const l = viewOf(row);
        return l && Number.isFinite(of(l)) ? of(l) : null;
      },
      render: (row) => {
        const l = viewOf(row);
        if (!l) return <span className="dim">{report ? '—' : '…'}</span>;
        const value = of(l);
        return (
          <span className={l.reached ? 'num oneliner' : 'num oneliner dim'}>
            {Number.isFinite(value) ? formatQuantity(value, kind, units) : '—'}
          </span>
        );
      },
    },
  });
  return { viewOf, shown };
}

export function useLegColumns(
  round: string,
  report: MissionReport | null,
  chosen: string | null,
  onChoose: (leg: string) => void,
): DocColumn[] {
  const design = useWorkspace((w) => w.content.document.design),
    missions = useWorkspace((w) => w.content.document.brief.missions),
    { states } = design;
  // a kind that is written already stays to be seen
  const written = missions.flatMap((m) => m.rounds.flatMap((r) => r.legs.map((l) => l.kind))),
    kinds = [...new Set([...kindsFor(design), ...written])].map((k) => ({ value: k, label: LEG_WORDS[k] }));
  const { viewOf, shown } = useShown(report);
  const look: DocColumn = {
    key: 'look',
    label: '',
    width: 28,
    cell: {
      type: 'shown',
      render: (row, i) => (
        <UnstyledButton
          className={row.id === chosen ? 'legpick here' : 'legpick'}
          aria-pressed={row.id === chosen}
          aria-label={`Look at leg ${i + 1} of ${round}`}
          onClick={() => onChoose(String(row.id))}
        >
          {i + 1}
        </UnstyledButton>
      ),
    },
  };
  const margin: DocColumn = {
    key: 'margin',
    label: 'Margin',
    width: 54,
    numeric: true,
    hint: 'What there is over what it needs, of what is nearest to its limit',
    cell: {
      type: 'shown',
      value: (row) => viewOf(row)?.margin?.ratio ?? null,
      render: (row) => {
        const l = viewOf(row),
          edge = l && edgeOf(l);
        return (
          <span className={edge ? `num ${edge}text` : 'num'}>
            {l?.margin ? l.margin.ratio.toFixed(2) : '—'}
          </span>
        );
      },
    },
  };
  return [
    look,
    { key: 'name', label: 'Leg', cell: { type: 'text' }, width: 122 },
    { key: 'kind', label: 'Kind', cell: { type: 'choice', options: kinds }, width: 88 },
    {
      key: 'state',
      label: 'State',
      width: 88,
      hint: 'Empty: as the leg before left it',
      cell: {
        type: 'choice',
        empty: 'null',
        options: [{ value: '', label: 'as before' }, ...states.map((s) => ({ value: s.id, label: s.name }))],
      },
    },
    typed('length', 'Length', 52),
    typed('height', 'Height', 50),
    typed('time', 'Time', 46),
    typed('speed', 'Speed', 50),
    { key: 'flown', label: 'Flown', width: 44, cell: { type: 'check' } },
    shown('takes', 'Takes', 'time', 58, (l) => l.time),
    margin,
  ];
}
