'use client';
/** The pieces that it comes apart into, and their box. */
import { DESIGN } from '../../parts/paths';
import { Button } from '@mantine/core';
import type { Piece } from '@skiametra/core/layout';
import { formatValue } from '@skiametra/core/units';
import { DocField } from '../../parts/fields/DocField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Pieces({ pieces }: { pieces: readonly Piece[] | null }) {
  const limits = useWorkspace((w) => w.content.document.design.limits);
  const units = useWorkspace((w) => w.units);
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
  const sign = (ok: boolean | null, text: string) =>
    ok === null ? (
      <span className="dim">–</span>
    ) : (
      <span className={ok ? '' : 'stoptext'}>{ok ? text : `✕ ${text}`}</span>
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
      {pieces && (
        <table className="sheet" aria-label="Pieces">
          <thead>
            <tr>
              <th>Piece</th>
              <th className="num">Long</th>
              <th className="num">Wide</th>
              <th>Car</th>
              <th className="num">Prints</th>
              <th className="num">Sheets a layer</th>
            </tr>
          </thead>
          <tbody>
            {pieces.map((p) => (
              <tr key={p.name}>
                <td>
                  {p.name}
                  {p.count > 1 ? ' ×2' : ''}
                </td>
                <td className="num">{formatValue(p.length, 'length', units)}</td>
                <td className="num">{formatValue(p.width, 'length', units)}</td>
                <td>{sign(p.carries, p.carries ? 'fits' : 'too long')}</td>
                <td className="num">
                  {p.prints === null
                    ? '–'
                    : sign(
                        Number.isFinite(p.prints),
                        Number.isFinite(p.prints) ? String(p.prints) : 'too wide',
                      )}
                </td>
                <td className="num">{p.sheets ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
