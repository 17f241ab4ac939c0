'use client';
/** The pieces that it comes apart into, and their box. */
import { ShownTable, type ShownColumn } from '../../parts/table';
import { DESIGN } from '../../parts/paths';
import { Button } from '@mantine/core';
import type { Piece } from '@skiametra/core/layout';
import { DocField } from '../../parts/fields/DocField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Pieces({ pieces }: { pieces: readonly Piece[] | null }) {
  const limits = useWorkspace((w) => w.content.document.design.limits);

  const edit = useWorkspace((w) => w.edit);
  if (!limits)
    return (
      <div>
        <p className="dim below8">
          Say what the car, the printer and the sheet take, and every change of shape is held against it.
        </p>
        <Button
          size="xs"
          variant="light"
          onClick={() =>
            edit({
              type: 'set',
              path: `${DESIGN}.limits`,
              value: {
                longestPiece: 1.2,
                printer: { length: 0.25, width: 0.21, height: 0.21 },
                sheet: { length: 1, width: 0.1 },
              },
            })
          }
        >
          Enter limits
        </Button>
      </div>
    );
  return (
    <div className="stack">
      <div className="fields">
        <DocField label="Longest piece carried" path={`${DESIGN}.limits.longestPiece`} />
        {limits.printer && (
          <>
            <DocField label="Printer, long" path={`${DESIGN}.limits.printer.length`} />
            <DocField label="Printer, wide" path={`${DESIGN}.limits.printer.width`} />
            <DocField label="Printer, high" path={`${DESIGN}.limits.printer.height`} />
          </>
        )}
        {limits.sheet && (
          <>
            <DocField label="Sheet, long" path={`${DESIGN}.limits.sheet.length`} />
            <DocField label="Sheet, wide" path={`${DESIGN}.limits.sheet.width`} />
          </>
        )}
      </div>
      {pieces && <ShownTable name="Pieces" rows={pieces} rowKey={(p) => p.name} columns={COLUMNS} />}
    </div>
  );
}

/** What a piece fits in; null where no limit is given. */
function sign(fits: boolean | null, text: string) {
  if (fits === null) return <span className="dim">–</span>;
  return <span className={fits ? undefined : 'stoptext'}>{fits ? text : `✕ ${text}`}</span>;
}
const printed = (p: Piece) =>
  p.prints !== null && Number.isFinite(p.prints) ? String(p.prints) : 'too wide';

const COLUMNS: ShownColumn<Piece>[] = [
  {
    key: 'name',
    label: 'Piece',
    fixed: true,
    value: (p) => (p.count > 1 ? `${p.name} ×${p.count}` : p.name),
  },
  { key: 'length', label: 'Long', kind: 'length', value: (p) => p.length },
  { key: 'width', label: 'Wide', kind: 'length', value: (p) => p.width },
  {
    key: 'car',
    label: 'Car',
    value: (p) => (p.carries === null ? null : p.carries ? 'fits' : 'too long'),
    render: (p) => sign(p.carries, p.carries ? 'fits' : 'too long'),
  },
  {
    key: 'prints',
    label: 'Prints',
    numeric: true,
    value: (p) => (p.prints === null ? null : printed(p)),
    render: (p) => sign(p.prints === null ? null : Number.isFinite(p.prints), printed(p)),
  },
  { key: 'sheets', label: 'Sheets a layer', kind: 'count', value: (p) => p.sheets },
];
