/**
 * Something let go in flight, in the vertical plane through its path, the air at rest:
 *   du/dt = -k V u,  dw/dt = g - k V w,  k = rho CdA / (2 m)      (quadratic drag; w downward)
 * by classical Runge-Kutta; without drag in closed form. The wind carries the whole path along.
 */
import { G0 } from '../air';
import { requireInRange, requirePositive } from '../numeric';

export interface Falling {
  /** above where it lands [m] */ readonly height: number;
  /** of what lets it go [m/s] */ readonly airspeed: number;
  /** upward as it is let go [m/s] */ readonly rise?: number;
  /** [kg] */ readonly mass: number;
  /** 0: it falls free [m2] */ readonly dragArea: number;
  /** [kg/m3] */ readonly density: number;
  /** towards the way it flies, and to its right [m/s] */ readonly tailWind?: number;
  readonly crossWind?: number;
}

export interface Fall {
  /** [s] */ readonly time: number;
  /** over the ground from where it was let go [m]: ahead, and to the right */ readonly ahead: number;
  readonly aside: number;
  /** against the ground [m/s] */ readonly impact: number;
  /** steady at last [m/s]; Infinity without drag */ readonly terminal: number;
}

interface Path {
  u: number;
  w: number;
  x: number;
  z: number;
}

function stepped(p: Path, k: number, dt: number): Path {
  const slope = (u: number, w: number) => {
    const kV = k * Math.sqrt(u * u + w * w);
    return [-kV * u, G0 - kV * w];
  };
  const [u1, w1] = slope(p.u, p.w),
    [u2, w2] = slope(p.u + (dt / 2) * u1, p.w + (dt / 2) * w1),
    [u3, w3] = slope(p.u + (dt / 2) * u2, p.w + (dt / 2) * w2),
    [u4, w4] = slope(p.u + dt * u3, p.w + dt * w3);
  return {
    u: p.u + (dt / 6) * (u1 + 2 * u2 + 2 * u3 + u4),
    w: p.w + (dt / 6) * (w1 + 2 * w2 + 2 * w3 + w4),
    // the place by the speeds of the same stages
    x: p.x + dt * p.u + ((dt * dt) / 6) * (u1 + u2 + u3),
    z: p.z + dt * p.w + ((dt * dt) / 6) * (w1 + w2 + w3),
  };
}

/** Steps over the shorter of the free fall and the time that drag needs to bite. */
const STEPS = 24;

function dragged(f: Falling, k: number): Path & { time: number } {
  const free = Math.sqrt((2 * f.height) / G0),
    entry = Math.max(f.airspeed, Math.sqrt(G0 / k)),
    dt = Math.min(free, 1 / (k * entry)) / STEPS;
  let p: Path = { u: f.airspeed, w: -(f.rise ?? 0), x: 0, z: 0 },
    time = 0;
  for (;;) {
    const next = stepped(p, k, dt);
    if (next.z >= f.height) break;
    p = next;
    time += dt;
  }
  // the last step ends on the ground
  let last = dt * 0.5;
  for (let i = 0; i < 6; i++) {
    const at = stepped(p, k, last);
    last -= (at.z - f.height) / Math.max(at.w, 1e-6);
  }
  return { ...stepped(p, k, last), time: time + last };
}

function fallenFree(f: Falling): Path & { time: number } {
  const up = f.rise ?? 0,
    time = (up + Math.sqrt(up * up + 2 * G0 * f.height)) / G0;
  return { u: f.airspeed, w: G0 * time - up, x: f.airspeed * time, z: f.height, time };
}

/** @throws DomainError `out-of-range`, also for NaN: height to 5 km, airspeed to 150 m/s, drag area not below 0 */
export function fallOf(f: Falling): Fall {
  requireInRange('height', f.height, 0, 5000, 'm');
  requireInRange('airspeed', f.airspeed, 0, 150, 'm/s');
  requireInRange('drag area', f.dragArea, 0, 50, 'm2');
  requirePositive('mass', f.mass, 'kg');
  requirePositive('density', f.density, 'kg/m3');
  const k = (f.density * f.dragArea) / (2 * f.mass),
    tail = f.tailWind ?? 0,
    cross = f.crossWind ?? 0;
  const p = k * f.height < 1e-9 || f.height === 0 ? fallenFree(f) : dragged(f, k);
  return {
    time: p.time,
    ahead: p.x + tail * p.time,
    aside: cross * p.time,
    impact: Math.sqrt((p.u + tail) ** 2 + cross * cross + p.w * p.w),
    terminal: k > 0 ? Math.sqrt(G0 / k) : Infinity,
  };
}
