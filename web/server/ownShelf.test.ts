/** A person's own materials: kept under their name, replaced by the same, seen by nobody else. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { OwnMaterial } from '@skiametra/core/design';
import { connect, type Db } from './connection';
import { dropMaterial, keepMaterial, listMaterials } from './materials';
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
    expect(await keepMaterial(db, id, tube)).toBe(true);
    expect(await keepMaterial(db, id, { ...tube, used: 0.8 })).toBe(true);
    const kept = await listMaterials(db, id);
    expect(kept.map((k) => k.material)).toEqual([{ ...tube, used: 0.8 }]);
    await dropMaterial(db, id, kept[0]!.id);
    expect(await listMaterials(db, id)).toEqual([]);
  });
  it('are not seen, nor taken away, by another', async () => {
    const mine = (await personNamed(db, 'Materials one')).id,
      other = (await personNamed(db, 'Materials two')).id;
    await keepMaterial(db, mine, tube);
    const [kept] = await listMaterials(db, mine);
    expect(await listMaterials(db, other)).toEqual([]);
    await dropMaterial(db, other, kept!.id);
    expect(await listMaterials(db, mine)).toHaveLength(1);
    expect(await listMaterials(db, null)).toEqual([]);
    expect(await keepMaterial(db, null, tube)).toBe(false);
  });
  it('fill up: the one too many is refused, one of a name that is there is not', async () => {
    const { id } = await personNamed(db, 'Materials full');
    for (let k = 0; k < 200; k++) await keepMaterial(db, id, { ...tube, name: `Tube ${k}` });
    expect(await keepMaterial(db, id, { ...tube, name: 'One more' })).toBe(false);
    expect(await keepMaterial(db, id, { ...tube, name: 'Tube 7', used: 0.5 })).toBe(true);
  });
});
