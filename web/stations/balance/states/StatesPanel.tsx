'use client';
/** Every state beside the others, and what is different in the one in view. */
import type { LayoutReport } from '@skiametra/core/views';
import { Cautions } from '../../../parts/Cautions';
import { ChartFrame } from '../../../parts/ChartFrame';
import { Sentence } from '../../../parts/Sentence';
import { StateDetails } from './StateDetails';
import { StateTable } from './StateTable';

type Shown = Pick<LayoutReport, 'worst' | 'cg' | 'tow'> & {
  states: readonly LayoutReport['states'][number][];
  path: readonly LayoutReport['path'][number][];
};

export function StatesPanel({ report }: { report: Shown }) {
  return (
    <div className="stack gap12">
      <Cautions at="states" />
      {report.worst && (
        <b>
          <Sentence of={report.worst.said} />
        </b>
      )}
      <StateTable states={report.states} />
      <StateDetails cgX={report.cg.x} tow={report.tow} />
      {report.path.length > 1 && (
        <ChartFrame
          title="The CG while the load leaves"
          height={150}
          xName="Units left aboard"
          xKind="count"
          yName="CG from the nose"
          yKind="length"
          series={[
            {
              name: 'CG',
              x: report.path.map((p) => p.count),
              y: report.path.map((p) => p.x),
              look: 'predicted',
            },
          ]}
        />
      )}
    </div>
  );
}
