/**
 * Members against general-purpose finite elements: CalculiX 2.20 (Debian package calculix-ccx), 20-node solids, run by hand with
 * `node core/validation/fe/members.mjs NAME > NAME.inp && ccx NAME && tail -n +2 NAME.dat`. E 70 GPa, nu 0.3.
 */
import { describe, expect, it } from 'vitest';
import type { Member, MemberShape } from '../src/design';
import { solveCantilever, type Distribution, type Material } from '../src/structure';

const even: Material = {
  id: 'even',
  name: 'Even',
  kind: 'metal',
  modulus: 70e9,
  across: 70e9,
  shearModulus: 70e9 / 2.6,
  tension: 250e6,
  compression: 250e6,
  shear: 140e6,
  density: 2700,
  scatter: 0,
  knockdown: 1,
  source: 'made up for checks',
};

/** Displacement of the tip that ccx printed, vy of its nodes [m]. */
const PRINTED = { stepped: 8.8649e-3, channel: 8.2633e-3, tapered: 1.51927e-3, sideways: 2.342081 };

function solved(shape: MemberShape, more: Partial<Member>, load: number, of: Distribution, length = 1) {
  const member: Member = { id: 'm', name: 'M', surface: 'w', chordPlace: 0.3, shape, ...more };
  return solveCantilever({ member, named: () => even, length, load, distribution: of })!;
}

describe('members against finite elements', () => {
  it('strip 20 x 10 mm, 14 x 10 beyond the middle, 10 N at the tip: deflection within 0.5 % (shear is left out)', () => {
    const strip = (height: number): MemberShape => ({ kind: 'strip', height, width: 0.01, material: 'e' });
    const r = solved(strip(0.02), { held: 0, steps: [{ from: 0.5, shape: strip(0.014) }] }, 10, 'tip');
    expect(r.deflection.at(-1)! / PRINTED.stepped).toBeGreaterThan(0.995);
    expect(r.deflection.at(-1)! / PRINTED.stepped).toBeLessThan(1.001);
  });
  it('channel that lies, 40 x 20 x 2 mm, 10 N at the tip: within 0.5 %', () => {
    const r = solved(
      { kind: 'channel', height: 0.02, width: 0.04, cap: 0.002, web: 0.002, material: 'e', lies: true },
      {},
      10,
      'tip',
    );
    expect(Math.abs(r.deflection.at(-1)! / PRINTED.channel - 1)).toBeLessThan(0.005);
  });
  it('square tube 30 x 30 x 3 mm tapering to half, 20 N spread evenly: within 0.5 %', () => {
    const r = solved(
      { kind: 'square tube', height: 0.03, width: 0.03, wall: 0.003, material: 'e' },
      { tip: { height: 0.015, width: 0.015, wall: 0.0015 } },
      20,
      'uniform',
    );
    expect(Math.abs(r.deflection.at(-1)! / PRINTED.tapered - 1)).toBeLessThan(0.005);
  });
  it('strip on edge, 20 x 1 mm, 0.5 m, 1 N at the tip: turns over within 3 % below (its clamped root cannot warp)', () => {
    const r = solved({ kind: 'strip', height: 0.02, width: 0.001, material: 'e' }, {}, 1, 'tip', 0.5);
    expect(r.sideways / PRINTED.sideways).toBeGreaterThan(0.97);
    expect(r.sideways / PRINTED.sideways).toBeLessThan(1);
  });
});
