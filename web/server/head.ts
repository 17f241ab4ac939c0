/** What the shelf shows of a version, stored beside its document so that the shelf need not read documents. */
import { readDocument, type DesignDocument } from '@skiametra/core/design';
import { planForm, type PlanForm } from '../parts/planForm';

export interface Head {
  purpose: string;
  /** plan form; null where the document cannot be read */
  face: PlanForm | null;
}

export const headOf = (d: DesignDocument): Head => ({
  purpose: d.brief.purpose.slice(0, 400),
  face: planForm(d.design),
});

/** A stored document of any age; null when it is damaged. */
export function readStored(document: unknown): DesignDocument | null {
  try {
    const r = readDocument(document);
    return r.status === 'ok' ? r.value : null;
  } catch {
    // an upgrade met what no document of its age holds
    return null;
  }
}

/** Head of a stored document; a damaged one has no face. */
export function headOfStored(document: unknown): Head {
  const d = readStored(document);
  return d ? headOf(d) : { purpose: '', face: null };
}
