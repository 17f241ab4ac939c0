import type { DecisionTable } from '@skiametra/core/design';
import type { Verdict } from '@skiametra/core/trade';
import { formatNumber } from '@skiametra/core/units';

interface Props {
  table: DecisionTable;
  verdict: Verdict;
}

/** Totals of ten, as a range while a mark is missing. */
export function Totals({ table, verdict }: Props) {
  return (
    <tfoot>
      <tr>
        <th scope="row">Total, of ten</th>
        <td className="numeric num">{formatNumber(verdict.weightSum, 3)}</td>
        <td />
        {table.options.map((o) => {
          const r = verdict.ranked.find((x) => x.id === o.id)!;
          return (
            <td key={o.id} className={`numeric num${r.stays ? '' : ' left'}`}>
              {r.total !== null ? r.total.toFixed(2) : `${r.low.toFixed(1)} to ${r.high.toFixed(1)}`}
            </td>
          );
        })}
        <td />
      </tr>
    </tfoot>
  );
}
