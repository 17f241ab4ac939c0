'use client';
/** The shelf's choice kept as a table among the others of the project: marks of ten by each merit, weights as they are. */
import { Button } from '@mantine/core';
import type { DecisionTable, SectionChoice } from '@skiametra/core/design';
import { MERITS } from '@skiametra/core/section';
import Link from 'next/link';
import { useState } from 'react';
import { useWayToTab } from '../../../parts/frame/useAddress';
import { freshId } from '../../../parts/table';
import { useTrade } from '../../trade/useTrade';
import { MERIT_NAMES } from './meritNames';
import type { Ranking } from './useMarksOf';

/** So many sections go into a table, the best. */
const MOST = 8;

export function tableOf(
  id: string,
  { marks, nameOf }: Pick<Ranking, 'marks' | 'nameOf'>,
  weights: SectionChoice['weights'],
): DecisionTable {
  const counts = MERITS.filter((m) => (weights[m] ?? 0) > 0);
  return {
    id,
    name: 'Sections',
    note: 'From the shelf: of each merit the best section has ten and the poorest none.',
    criteria: counts.map((m) => ({ id: m, name: MERIT_NAMES[m][0], weight: weights[m] ?? 0, must: null })),
    options: marks.slice(0, MOST).map((s) => ({
      id: s.id.replace(/\W/g, '-').slice(0, 60),
      name: nameOf(s.id),
      version: '',
      rejected: '',
      marks: counts.map((m) => ({
        criterion: m,
        mark: Math.round(100 * s.parts[m]) / 10,
        why: 'computed',
        by: '',
      })),
    })),
  };
}

export function KeepTable({ ranking, weights }: { ranking: Ranking; weights: SectionChoice['weights'] }) {
  const { tables, putTables } = useTrade(),
    way = useWayToTab('trade', 'tables'),
    [kept, setKept] = useState(false);
  if (ranking.marks.length < 2) return null;
  const keep = () => {
    putTables([...tables, tableOf(freshId('table', tables), ranking, weights)]);
    setKept(true);
  };
  return (
    <div className="line gap8 mid mt8">
      <Button size="compact-xs" variant="light" onClick={keep}>
        Keep as a table
      </Button>
      {kept && (
        <Link href={way} className="textbutton dotted">
          Trade, Tables
        </Link>
      )}
    </div>
  );
}
