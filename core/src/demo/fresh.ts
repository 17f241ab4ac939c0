import type { DesignDocument } from '../design';
/** A copy of made-up data for one caller: nobody changes another's. */
export function fresh<T>(data: T): T {
  return JSON.parse(JSON.stringify(data)) as T;
}

/** What another demo begins from: without what the Bittern's own team weighed, and what only its rules say. */
export function withoutStudies<D extends DesignDocument>({ trade: _t, ...doc }: D): DesignDocument {
  const { variants: _v, statements: _s, ...brief } = doc.brief;
  return {
    ...doc,
    brief: { ...brief, rivals: brief.rivals.map(({ of: _o, better: _b, ...r }) => r) },
  };
}
