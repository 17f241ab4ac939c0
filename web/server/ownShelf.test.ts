/** What a person keeps for all projects: kept under their name, replaced by the same, seen by nobody else. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { OwnMaterial } from '@skiametra/core/design';
import { connect, type Db } from './connection';
import { materialShelf, modelShelf } from './ownShelf';
import { prepareDatabase } from './migrate';
import { personNamed } from './people';

const tube: OwnMaterial = {
  id: 'own1',
  name: 'Shop tube',
  kind: 'composite',
  density: 1520,
  modulus: 70e9,
  across: 25e9,
  shearModulus: 8e9,
  tension: 600e6,
  compression: 450e6,
  shear: 60e6,
  used: 0.7,
  coupons: { compression: [410e6, 455e6, 438e6] },
  note: '',
};

/** A model of which nothing is known yet. */
const NOTHING_KNOWN = {
  note: '',
  span: null,
  area: null,
  mass: null,
  tailArea: null,
  tailArm: null,
  finArea: null,
  bodyLength: null,
  cgChord: null,
};

const url = process.env.DATABASE_URL!;
let db: Db, pool: ReturnType<typeof connect>['pool'];

beforeAll(async () => {
  await prepareDatabase(url);
  ({ db, pool } = connect(url));
});
afterAll(() => pool.end());

describe('materials of a person', () => {
  it('are kept with their coupons, one of a name, and taken off again', async () => {
    const { id } = await personNamed(db, 'Materials one');
    expect(await materialShelf.keep(db, id, tube)).toBe(true);
    expect(await materialShelf.keep(db, id, { ...tube, used: 0.8 })).toBe(true);
    const kept = await materialShelf.list(db, id);
    expect(kept.map((k) => k.body)).toEqual([{ ...tube, used: 0.8 }]);
    await materialShelf.drop(db, id, kept[0]!.id);
    expect(await materialShelf.list(db, id)).toEqual([]);
  });
  it('are not seen, nor taken away, by another', async () => {
    const mine = (await personNamed(db, 'Materials one')).id,
      other = (await personNamed(db, 'Materials two')).id;
    await materialShelf.keep(db, mine, tube);
    const [kept] = await materialShelf.list(db, mine);
    expect(await materialShelf.list(db, other)).toEqual([]);
    await materialShelf.drop(db, other, kept!.id);
    expect(await materialShelf.list(db, mine)).toHaveLength(1);
    expect(await materialShelf.list(db, null)).toEqual([]);
    expect(await materialShelf.keep(db, null, tube)).toBe(false);
  });
  it('fill up: the one too many is refused, one of a name that is there is not', async () => {
    const { id } = await personNamed(db, 'Materials full');
    for (let k = 0; k < 200; k++) await materialShelf.keep(db, id, { ...tube, name: `Tube ${k}` });
    expect(await materialShelf.keep(db, id, { ...tube, name: 'One more' })).toBe(false);
    expect(await materialShelf.keep(db, id, { ...tube, name: 'Tube 7', used: 0.5 })).toBe(true);
  });
});

describe('reference models of a person', () => {
  it('are kept beside the materials, and apart from them', async () => {
    const { id } = await personNamed(db, 'Models one');
    const model = {
      ...NOTHING_KNOWN,
      id: 'm1',
      name: 'Four rotors',
      mass: 1.2,
      discArea: 0.2,
      basis: 'measured' as const,
    };
    expect(await modelShelf.keep(db, id, model)).toBe(true);
    expect((await modelShelf.list(db, id)).map((k) => k.body)).toEqual([model]);
    expect(await materialShelf.list(db, id)).toEqual([]);
  });
});
