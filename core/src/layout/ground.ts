/**
 * How the aircraft stands: propeller clearance, tip-over, the angle it can rotate to, tail strike, track.
 * Definitions: Raymer, Aircraft Design, ch. 11 (from memory): overturn angle under 63 degrees; with a nose wheel the
 * CG 15 degrees ahead of the main wheels or more, with a tail wheel 16 to 25 degrees behind them.
 */
import { say, type Said } from '../words';
import { powertrainOf, type Design } from '../design';
import { placeOf, stationAt } from '../surface';

type Wheel = NonNullable<Design['wheels']>[number];
/** Height of the lowest point of a wheel or skid [m]. */
const lowestOf = (w: Wheel) => w.z - (w.diameter ?? 0) / 2;

export interface GroundGeometry {
  /** height of the lowest point of all [m] */ ground: number;
  kind: 'nose wheel' | 'tail wheel' | 'skid';
  /** lowest blade above the ground, standing level on the main wheels [m] */ propellerClearance:
    number | null;
  /** between the main wheels [m] */ track: number;
  /** sideways overturn angle [rad]: smaller is steadier */ overturn: number;
  /**
   * CG ahead (nose wheel) or behind (tail wheel) of the main wheel, as the angle above it [rad]; wrong side is
   * negative
   */
  tipBack: number;
  /** nose-up turn about the main wheels until something aft touches [rad] */ tailStrike: number;
  strikes: string;
  /** share of the weight on the nose or tail wheel */ endLoad: number;
}

/** @returns null when fewer than two wheels are given */
export function groundGeometry(design: Design, cg: { x: number; z: number }): GroundGeometry | null {
  // from here on z is where it touches
  const wheels = (design.wheels ?? []).map((w) => ({ ...w, z: lowestOf(w) }));
  if (wheels.length < 2) return null;
  const track = Math.max(...wheels.map((w) => Math.abs(w.y)));
  const mains = wheels.filter((w) => Math.abs(w.y) > 0.6 * track || track === 0);
  const main = {
    x: mains.reduce((s, w) => s + w.x, 0) / mains.length,
    z: mains.reduce((s, w) => s + w.z, 0) / mains.length,
  };
  const end = wheels
    .filter((w) => !mains.includes(w))
    .sort((a, b) => Math.abs(b.x - main.x) - Math.abs(a.x - main.x))[0];
  const kind = !end ? 'skid' : end.x > main.x ? 'tail wheel' : 'nose wheel';
  const h = cg.z - main.z;
  const p = powertrainOf(design).propeller;
  let overturn = Math.atan2(h, track),
    endLoad = 0;
  if (end) {
    // distance of the CG's foot from the line between the end wheel and one main wheel
    const dx = main.x - end.x,
      dy = track - Math.abs(end.y),
      length = Math.sqrt(dx * dx + dy * dy);
    overturn = Math.atan2(h, Math.abs(dy * (cg.x - end.x)) / length);
    endLoad = (cg.x - main.x) / (end.x - main.x);
  }
  let tailStrike = Math.PI / 2,
    strikes = 'nothing';
  const touch = (name: string, x: number, z: number) => {
    if (x <= main.x + 0.01) return;
    const a = Math.atan2(z - main.z, x - main.x);
    if (a < tailStrike) {
      tailStrike = a;
      strikes = name;
    }
  };
  for (const b of design.body) touch('the body', b.x, b.z - b.height / 2);
  for (const s of design.surfaces)
    for (const st of s.stations) {
      const q = placeOf(s, st);
      touch(s.name.toLowerCase(), q.x + st.chord, q.z);
      if (s.role === 'fin') {
        const low = placeOf(s, stationAt(s, 0));
        touch(s.name.toLowerCase(), low.x + st.chord, low.z);
      }
    }
  if (end && kind === 'tail wheel') touch('the tail wheel', end.x, end.z);
  return {
    ground: Math.min(...wheels.map((w) => w.z)),
    kind,
    propellerClearance: powertrainOf(design).unpowered ? null : p.z - p.diameter / 2 - main.z,
    track: 2 * track,
    overturn,
    tipBack: Math.atan2(kind === 'tail wheel' ? cg.x - main.x : main.x - cg.x, h),
    tailStrike,
    strikes,
    endLoad,
  };
}

export interface GroundRemark {
  severity: 'stop' | 'look';
  said: Said;
}

/** @param needed angle of attack to rotate to, less the wing's incidence to the ground [rad] */
export function groundRemarks(g: GroundGeometry, needed: number, clearanceWanted = 0.02): GroundRemark[] {
  const out: GroundRemark[] = [];
  const add = (severity: GroundRemark['severity'], said: Said) => {
    out.push({ severity, said });
  };
  if (g.propellerClearance !== null && g.propellerClearance < 0)
    add('stop', say('propeller-below', { by: -g.propellerClearance }));
  else if (g.propellerClearance !== null && g.propellerClearance < clearanceWanted)
    add('look', say('propeller-near', { by: g.propellerClearance }));
  if (g.tipBack < 0) add('stop', say(g.kind === 'tail wheel' ? 'on-its-nose' : 'on-its-tail', {}));
  else if (g.kind === 'tail wheel' && g.tipBack < (12 * Math.PI) / 180)
    add('look', say('noses-over', { angle: g.tipBack }));
  if (g.overturn > (63 * Math.PI) / 180) add('look', say('overturns', { angle: g.overturn }));
  if (g.tailStrike < needed - 1e-6)
    add('look', say('tail-strike', { angle: g.tailStrike, part: g.strikes, needed }));
  return out;
}
