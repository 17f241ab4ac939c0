'use client';
/** The checks of ground, fit, hover and built shape. */
import type { LayoutReport } from '@skiametra/core/views';
import { BuiltCheck } from './BuiltCheck';
import { FitCheck } from './FitCheck';
import { GroundCheck } from './GroundCheck';
import { HoverCheck } from './HoverCheck';

export function ChecksPanel({ report }: { report: LayoutReport }) {
  return (
    <div className="stack gap12">
      <GroundCheck report={report} />
      <FitCheck fit={report.fit} />
      {report.hover && <HoverCheck hover={report.hover} />}
      <BuiltCheck warp={report.warp} />
    </div>
  );
}
