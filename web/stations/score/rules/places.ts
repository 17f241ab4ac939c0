/** Places of a brief that rules may have otherwise: numbers of site, missions and field, and formulas. */
import { quantityDef } from '@skiametra/core/assess';
import { documentField, type Brief } from '@skiametra/core/design';

export interface Place {
  readonly value: string;
  readonly label: string;
}

const capital = (s: string) => `${s[0]?.toUpperCase() ?? ''}${s.slice(1)}`;

function numbersIn(value: unknown, path: string, owner: string, into: Place[]): Place[] {
  if (typeof value === 'number') {
    const label = documentField(`brief.${path}`)?.label;
    if (label) into.push({ value: path, label: capital(owner ? `${owner}, ${label}` : label) });
  } else if (Array.isArray(value))
    for (const v of value as { id?: string; name?: string }[]) {
      const key = v.id ?? v.name;
      if (key !== undefined) numbersIn(v, `${path}.${key}`, v.name ?? owner, into);
    }
  else if (typeof value === 'object' && value !== null)
    for (const [k, v] of Object.entries(value)) numbersIn(v, path ? `${path}.${k}` : k, owner, into);
  return into;
}

export function placesOf(brief: Brief): Place[] {
  const field = brief.rivals.flatMap((r, i): Place[] => [
    { value: `rivals.${i}.likely`, label: `${r.name}, likely` },
  ]);
  const limits = brief.requirements.flatMap((r): Place[] =>
    (['min', 'max'] as const).flatMap((end) =>
      r[end] === null
        ? []
        : [
            {
              value: `requirements.${r.id}.${end}`,
              label: `${r.rule || quantityDef(r.quantity)?.name || r.id}, ${end === 'min' ? 'at least' : 'at most'}`,
            },
          ],
    ),
  );
  return [
    ...numbersIn(brief.site, 'site', '', []),
    ...numbersIn(brief.missions, 'missions', '', []),
    ...field,
    ...limits,
    ...brief.tasks.map((t) => ({ value: `tasks.${t.id}.formula`, label: `${t.name}, formula` })),
  ];
}
