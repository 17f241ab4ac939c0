'use client';
/** Curves and named speeds of the state in view, of wing and rotors. */
import { curveOf, entryOf, type Ledger, type LedgerCurve, type QuantityId } from '@skiametra/core/assess';
import { windGrowth } from '@skiametra/core/design';
import { siteGust } from '@skiametra/core/structure';
import type { Stretch, Upright } from '../../../parts/chartMarks';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export type Points = Pick<LedgerCurve, 'x' | 'y' | 'sigma'>;

/**
 * Without what is no number: a chart does not reach over what cannot be flown. Of what is never nil, a spread as large as
 * the number is one that could not be found: the points before that.
 */
export function flown(c: Points, neverNil = false): Points {
  const sure = (i: number) => !neverNil || !c.sigma || c.sigma[i]! < Math.abs(c.y[i]!),
    keep = c.y.map((_, i) => i).filter((i) => Number.isFinite(c.y[i]!) && sure(i)),
    of = (list: readonly number[]) => keep.map((i) => list[i]!);
  return { x: of(c.x), y: of(c.y), sigma: c.sigma && of(c.sigma) };
}

/** Up to a speed [m/s]. */
export function upTo(c: Points, most: number): Points {
  const n = c.x.filter((x) => x <= most).length;
  return { x: c.x.slice(0, n), y: c.y.slice(0, n), sigma: c.sigma && c.sigma.slice(0, n) };
}

export interface Envelope {
  readonly ledger: Ledger;
  readonly sink: Points | undefined;
  readonly climb: Points | undefined;
  readonly rotorClimb: Points | undefined;
  /** level: of the wing, of the rotors, of both together; null where nothing turns */ readonly power: {
    wing: Points | undefined;
    rotors: Points | undefined;
    both: Points | undefined;
  } | null;
  readonly uprights: readonly Upright[];
  readonly stretches: readonly Stretch[];
  /** what is worth drawing [m/s] */ readonly most: number;
  curve(id: string): LedgerCurve | undefined;
  old(id: string): LedgerCurve | undefined;
  at(id: QuantityId): number | null;
}

const NAMED: readonly (readonly [QuantityId, string, Upright['look']])[] = [
  ['stallSpeed', 'stall', 'asked'],
  ['sinkSpeed', 'least sink', 'ink'],
  ['glideSpeed', 'best glide', 'ink'],
  ['topSpeed', 'level top speed', 'ink'],
  ['windLimit', 'wind limit', 'second'],
  ['longestSpeed', 'lasts longest on rotors', 'ink'],
  ['farthestSpeed', 'goes farthest on rotors', 'ink'],
  ['rotorTopSpeed', 'fastest on rotors', 'ink'],
];

export function useEnvelope(): Envelope | null {
  const ledger = useWorkspace((w) => w.ledger);
  const against = useWorkspace((w) => w.againstLedger);
  const loading = useWorkspace((w) => w.loading);
  const site = useWorkspace((w) => w.content.document.brief.site);
  if (!ledger || ledger.stopped) return null;
  const curve = (id: string) => curveOf(ledger, id, loading),
    at = (id: QuantityId) => entryOf(ledger, id, loading)?.value ?? null;
  const hangs = curve('rotorPower') !== undefined;
  const uprights = NAMED.flatMap(([id, name, look]): Upright[] => {
    const x = at(id);
    const wings = ['stallSpeed', 'sinkSpeed', 'glideSpeed'].includes(id);
    return x === null || x <= 0 || (wings && hangs) ? [] : [{ name, x, look }];
  });
  const from = at('changeSpeed'),
    to = at('topSpeed'),
    power = { wing: curve('levelPower'), rotors: curve('rotorPower'), both: curve('corridorPower') };
  const wind = windGrowth(site) * site.wind + siteGust(site);
  return {
    ledger,
    most: 1.2 * (at('topSpeed') ?? 2.5 * (at('glideSpeed') ?? Infinity)),
    curve,
    at,
    old: (id) => (against ? curveOf(against, id, loading) : undefined),
    sink: curve('sink'),
    climb: curve('climb'),
    rotorClimb: curve('rotorClimb'),
    power: power.wing || power.rotors || power.both ? power : null,
    uprights: [...uprights, { name: 'wind with its gusts', x: wind, look: 'second' }],
    stretches: from !== null && to !== null && to > from ? [{ name: 'change over', from, to }] : [],
  };
}
