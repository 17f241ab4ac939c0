'use client';
import { CellSelect } from '../../parts/fields/CellSelect';
import { BRIEF } from '../../parts/paths';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { placeOf, placesFor } from './places';

/** Mission, leg or case that a requirement is of. */
export function PlaceCell({ index }: { index: number }) {
  const brief = useWorkspace((w) => w.content.document.brief),
    edit = useWorkspace((w) => w.edit),
    r = brief.requirements[index];
  if (!r) return null;
  const places = placesFor(r.quantity, brief);
  if (places.length === 0) return <span className="dim">–</span>;
  const now = placeOf(r),
    known = places.some((p) => p.value === now);
  return (
    <CellSelect
      label={`Of, row ${index + 1}`}
      value={known ? now : ''}
      options={known ? places : [{ value: '', label: 'choose' }, ...places]}
      onChange={(v) => {
        const { part: _p, leg: _l, case: _c, ...rest } = r,
          place = places.find((p) => p.value === v)?.place ?? {};
        edit({ type: 'set', path: `${BRIEF}.requirements.${index}`, value: { ...rest, ...place } });
      }}
    />
  );
}
