/**
 * Flow about a section by linear-strength vortex panels with constant-strength source panels for the boundary
 * layer's displacement; streamfunction constant inside. Unknowns: gamma at the n nodes and the streamfunction.
 * Kutta: gamma_1 + gamma_n = 0. For a closed trailing edge the first and last nodes coincide, so the last surface
 * equation is replaced by one that lets no air move along the bisector just inside the edge.
 * Formulation: Drela, in Low Reynolds Number Aerodynamics, Springer 1989, eq. 4 to 9 (from memory).
 * The surface speed is gamma, positive aft on the upper face.
 */
import { DomainError, luInPlace, luSolveInPlace } from '../numeric';
import type { Contour } from './contour';
import { sourcePsi, sourceVelocity, vortexPsi, vortexVelocity } from './influence';

const TWO_PI = 2 * Math.PI;

export interface InviscidBasis {
  readonly contour: Contour;
  /** surface speed at nodes for unit stream at 0 and 90 degrees, n each */
  readonly at0: Float64Array;
  readonly at90: Float64Array;
  /** arc length at nodes [chord], n */
  readonly arc: Float64Array;
  /** factors of the (n + 1) square system */
  readonly lu: Float64Array;
  readonly order: Int32Array;
}

const INSIDE = 0.5;

/** A point just inside a closed trailing edge, and the direction of the edge's bisector. */
function insideEdge(xy: Float64Array): { x: number; y: number; tx: number; ty: number } {
  const n = xy.length / 2;
  const ux = xy[2] - xy[0],
    uy = xy[3] - xy[1],
    lx = xy[2 * n - 4] - xy[2 * n - 2],
    ly = xy[2 * n - 3] - xy[2 * n - 1];
  const lu = Math.hypot(ux, uy),
    ll = Math.hypot(lx, ly);
  let tx = ux / lu + lx / ll,
    ty = uy / lu + ly / ll;
  const t = Math.hypot(tx, ty),
    d = INSIDE * Math.min(lu, ll);
  tx /= t;
  ty /= t;
  return { x: xy[0] + d * tx, y: xy[1] + d * ty, tx, ty };
}

/**
 * Solves the two basic flows about a contour of n points; cost one LU of size n + 1.
 * @throws DomainError `singular` for a contour whose panels coincide
 */
export function solveInviscid(contour: Contour): InviscidBasis {
  const { xy } = contour;
  const n = xy.length / 2,
    size = n + 1;
  const lu = new Float64Array(size * size);
  const b0 = new Float64Array(size),
    b90 = new Float64Array(size);
  const arc = new Float64Array(n);
  for (let i = 1; i < n; i++) {
    arc[i] = arc[i - 1] + Math.hypot(xy[2 * i] - xy[2 * i - 2], xy[2 * i + 1] - xy[2 * i - 1]);
    if (!(arc[i] > arc[i - 1]))
      throw new DomainError('singular', 'two points of the section coincide', { i });
  }
  const w = new Float64Array(2);
  for (let i = 0; i < n - 1; i++) {
    const row = i * size,
      x = xy[2 * i],
      y = xy[2 * i + 1];
    for (let j = 0; j < n - 1; j++) {
      vortexPsi(x, y, xy[2 * j], xy[2 * j + 1], xy[2 * j + 2], xy[2 * j + 3], w);
      lu[row + j] += w[0] / TWO_PI;
      lu[row + j + 1] += w[1] / TWO_PI;
    }
    lu[row + n] = -1;
    b0[i] = -y;
    b90[i] = x;
  }
  const inside = insideEdge(xy),
    edge = (n - 1) * size,
    v = new Float64Array(4);
  for (let j = 0; j < n - 1; j++) {
    vortexVelocity(inside.x, inside.y, xy[2 * j], xy[2 * j + 1], xy[2 * j + 2], xy[2 * j + 3], v);
    lu[edge + j] += (v[0] * inside.tx + v[1] * inside.ty) / TWO_PI;
    lu[edge + j + 1] += (v[2] * inside.tx + v[3] * inside.ty) / TWO_PI;
  }
  b0[n - 1] = -inside.tx;
  b90[n - 1] = -inside.ty;
  const kutta = n * size;
  lu[kutta] = 1;
  lu[kutta + n - 1] = 1;
  const order = luInPlace(lu, size);
  luSolveInPlace(lu, order, b0);
  luSolveInPlace(lu, order, b90);
  return { contour, at0: b0.slice(0, n), at90: b90.slice(0, n), arc, lu, order };
}

/** d gamma_i / d sigma_p of the contour's own n - 1 source panels: (n - 1) rows of n numbers, one row a panel. */
function panelResponse(basis: InviscidBasis): Float64Array {
  const { xy } = basis.contour;
  const n = xy.length / 2;
  const out = new Float64Array((n - 1) * n);
  const b = new Float64Array(n + 1),
    at = insideEdge(xy),
    w = new Float64Array(2);
  for (let p = 0; p < n - 1; p++) {
    b.fill(0);
    for (let i = 0; i < n - 1; i++)
      b[i] =
        -sourcePsi(xy[2 * i], xy[2 * i + 1], xy[2 * p], xy[2 * p + 1], xy[2 * p + 2], xy[2 * p + 3], false) /
        TWO_PI;
    sourceVelocity(at.x, at.y, xy[2 * p], xy[2 * p + 1], xy[2 * p + 2], xy[2 * p + 3], 0, w);
    b[n - 1] = -(w[0] * at.tx + w[1] * at.ty) / TWO_PI;
    luSolveInPlace(basis.lu, basis.order, b);
    out.set(b.subarray(0, n), p * n);
  }
  return out;
}

/** Velocity at a point off the contour for given node strengths. */
function velocityAt(
  basis: InviscidBasis,
  gamma: Float64Array,
  c: number,
  s: number,
  x: number,
  y: number,
): [number, number] {
  const { xy } = basis.contour;
  const n = xy.length / 2;
  const w = new Float64Array(4);
  let u = c,
    v = s;
  for (let j = 0; j < n - 1; j++) {
    vortexVelocity(x, y, xy[2 * j], xy[2 * j + 1], xy[2 * j + 2], xy[2 * j + 3], w);
    u += (gamma[j] * w[0] + gamma[j + 1] * w[2]) / TWO_PI;
    v += (gamma[j] * w[1] + gamma[j + 1] * w[3]) / TWO_PI;
  }
  return [u, v];
}

export interface WakeFlow {
  /** nodes, flat [x0, y0, ...]; the first is the trailing edge */
  readonly xy: Float64Array;
  /** distance from the trailing edge */
  readonly arc: Float64Array;
  /** speed along the wake of the flow without layers */
  readonly speed: Float64Array;
  /** d speed_i / d m_j over contour nodes (signed along the contour) and wake nodes: N = n + nw columns, nw rows */
  readonly response: Float64Array;
  /** d gamma_i / d m_j of the wake nodes: n rows, nw columns */
  readonly onContour: Float64Array;
}

/** Distances between wake nodes grow by a constant ratio from `first` until `length` is reached. */
function wakeDistances(first: number, length: number, count: number): Float64Array {
  let lo = 1,
    hi = 3;
  const total = (q: number) =>
    first * (Math.abs(q - 1) < 1e-9 ? count - 1 : (q ** (count - 1) - 1) / (q - 1));
  for (let k = 0; k < 60; k++) {
    const q = 0.5 * (lo + hi);
    if (total(q) < length) lo = q;
    else hi = q;
  }
  const out = new Float64Array(count);
  for (let i = 1, h = first; i < count; i++, h *= lo) out[i] = out[i - 1] + h;
  return out;
}

/**
 * Points of the wake: it leaves along the bisector of the edge, then follows the streamline.
 * @param arc distances along it [chord] @returns x, y of each
 */
function wakeLine(basis: InviscidBasis, gamma: Float64Array, alpha: number, arc: Float64Array): Float64Array {
  const { xy } = basis.contour,
    n = xy.length / 2,
    nw = arc.length;
  const c = Math.cos(alpha),
    s = Math.sin(alpha);
  const wxy = new Float64Array(2 * nw);
  wxy[0] = 0.5 * (xy[0] + xy[2 * n - 2]);
  wxy[1] = 0.5 * (xy[1] + xy[2 * n - 1]);
  let bx = xy[0] - xy[2] + xy[2 * n - 2] - xy[2 * n - 4],
    by = xy[1] - xy[3] + xy[2 * n - 1] - xy[2 * n - 3];
  const bl = Math.hypot(bx, by);
  bx /= bl;
  by /= bl;
  const dir = [bx, by];
  for (let i = 1; i < nw; i++) {
    const h = arc[i] - arc[i - 1];
    if (i > 1) {
      const [u, v] = velocityAt(
        basis,
        gamma,
        c,
        s,
        wxy[2 * i - 2] + 0.5 * h * dir[0],
        wxy[2 * i - 1] + 0.5 * h * dir[1],
      );
      const q = Math.hypot(u, v);
      dir[0] = u / q;
      dir[1] = v / q;
    }
    wxy[2 * i] = wxy[2 * i - 2] + h * dir[0];
    wxy[2 * i + 1] = wxy[2 * i - 1] + h * dir[1];
  }
  return wxy;
}

/** Response of the contour's vorticity to sources of the wake: n rows of its points. */
function contourPerWake(basis: InviscidBasis, wxy: Float64Array, arc: Float64Array): Float64Array {
  const { xy } = basis.contour,
    n = xy.length / 2,
    nw = arc.length,
    panels = nw - 1;
  const perPanel = new Float64Array(panels * n),
    b = new Float64Array(n + 1),
    at = insideEdge(xy),
    v2 = new Float64Array(2);
  for (let p = 0; p < panels; p++) {
    b.fill(0);
    for (let i = 0; i < n - 1; i++)
      b[i] =
        -sourcePsi(
          xy[2 * i],
          xy[2 * i + 1],
          wxy[2 * p],
          wxy[2 * p + 1],
          wxy[2 * p + 2],
          wxy[2 * p + 3],
          true,
        ) / TWO_PI;
    sourceVelocity(at.x, at.y, wxy[2 * p], wxy[2 * p + 1], wxy[2 * p + 2], wxy[2 * p + 3], 0, v2);
    b[n - 1] = -(v2[0] * at.tx + v2[1] * at.ty) / TWO_PI;
    luSolveInPlace(basis.lu, basis.order, b);
    perPanel.set(b.subarray(0, n), p * n);
  }
  const onContour = new Float64Array(n * nw);
  for (let p = 0; p < panels; p++) {
    const h = arc[p + 1] - arc[p];
    for (let i = 0; i < n; i++) {
      onContour[i * nw + p] -= perPanel[p * n + i] / h;
      onContour[i * nw + p + 1] += perPanel[p * n + i] / h;
    }
  }
  return onContour;
}

/**
 * The wake: one chord of the streamline from the trailing edge at angle alpha, its speeds and its influence.
 * @param contourPerMass d gamma_i / d M_j of the contour nodes, n rows of n
 */
export function wakeFlow(
  basis: InviscidBasis,
  alpha: number,
  contourPerMass: Float64Array,
  panels: number,
): WakeFlow {
  const { xy } = basis.contour;
  const n = xy.length / 2,
    nw = panels + 1,
    N = n + nw;
  const c = Math.cos(alpha),
    s = Math.sin(alpha);
  const gamma = new Float64Array(n);
  for (let i = 0; i < n; i++) gamma[i] = c * basis.at0[i] + s * basis.at90[i];
  const arc = wakeDistances(0.5 * (basis.arc[1] + basis.arc[n - 1] - basis.arc[n - 2]), 1, nw);
  const wxy = wakeLine(basis, gamma, alpha, arc),
    onContour = contourPerWake(basis, wxy, arc);
  const speed = new Float64Array(nw),
    response = new Float64Array(nw * N);
  speed[0] = gamma[0];
  for (let j = 0; j < n; j++) response[j] = contourPerMass[j];
  for (let j = 0; j < nw; j++) response[n + j] = onContour[j];
  const w4 = new Float64Array(4),
    w2 = new Float64Array(2),
    per = new Float64Array(n);
  for (let i = 1; i < nw; i++) {
    const x = wxy[2 * i],
      y = wxy[2 * i + 1];
    const j0 = Math.max(0, i - 1),
      j1 = Math.min(nw - 1, i + 1);
    const tl = Math.hypot(wxy[2 * j1] - wxy[2 * j0], wxy[2 * j1 + 1] - wxy[2 * j0 + 1]);
    const tx = (wxy[2 * j1] - wxy[2 * j0]) / tl,
      ty = (wxy[2 * j1 + 1] - wxy[2 * j0 + 1]) / tl;
    per.fill(0);
    speed[i] = c * tx + s * ty;
    const row = i * N;
    for (let j = 0; j < n - 1; j++) {
      vortexVelocity(x, y, xy[2 * j], xy[2 * j + 1], xy[2 * j + 2], xy[2 * j + 3], w4);
      per[j] += (w4[0] * tx + w4[1] * ty) / TWO_PI;
      per[j + 1] += (w4[2] * tx + w4[3] * ty) / TWO_PI;
      sourceVelocity(x, y, xy[2 * j], xy[2 * j + 1], xy[2 * j + 2], xy[2 * j + 3], 1e-9, w2);
      const f = (w2[0] * tx + w2[1] * ty) / TWO_PI / (basis.arc[j + 1] - basis.arc[j]);
      response[row + j] -= f;
      response[row + j + 1] += f;
    }
    for (let p = 0; p < panels; p++) {
      const blur = (0.5 / Math.E) * (arc[Math.min(panels, i)] - arc[i - 1]);
      sourceVelocity(x, y, wxy[2 * p], wxy[2 * p + 1], wxy[2 * p + 2], wxy[2 * p + 3], blur, w2);
      const f = (w2[0] * tx + w2[1] * ty) / TWO_PI / (arc[p + 1] - arc[p]);
      response[row + n + p] -= f;
      response[row + n + p + 1] += f;
    }
    for (let k = 0; k < n; k++) {
      speed[i] += per[k] * gamma[k];
      const f = per[k],
        from = k * n,
        onto = k * nw;
      for (let j = 0; j < n; j++) response[row + j] += f * contourPerMass[from + j];
      for (let j = 0; j < nw; j++) response[row + n + j] += f * onContour[onto + j];
    }
  }
  return { xy: wxy, arc, speed, response, onContour };
}

/** d gamma_i / d M_j of contour nodes, M being the mass defect signed along the contour: n rows of n. */
export function contourPerMass(basis: InviscidBasis): Float64Array {
  const n = basis.arc.length;
  const per = panelResponse(basis);
  const out = new Float64Array(n * n);
  for (let p = 0; p < n - 1; p++) {
    const h = basis.arc[p + 1] - basis.arc[p];
    for (let i = 0; i < n; i++) {
      const f = per[p * n + i] / h;
      out[i * n + p] -= f;
      out[i * n + p + 1] += f;
    }
  }
  return out;
}

export interface SectionForces {
  cl: number;
  /** about the quarter chord, nose up positive */ cm: number;
  /** pressure drag from the surface pressures: noise, for checks only */ cdp: number;
}

/** Forces of a surface speed by integrating the pressure; Mach by Karman and Tsien's rule. */
export function forcesOf(contour: Contour, speed: Float64Array, alpha: number, mach = 0): SectionForces {
  const { xy } = contour;
  const n = xy.length / 2;
  const c = Math.cos(alpha),
    s = Math.sin(alpha);
  const beta = Math.sqrt(1 - mach * mach),
    kt = (mach * mach) / (1 + beta) / 2;
  const cpAt = (i: number) => {
    const p = 1 - speed[i] * speed[i];
    return mach > 0 ? p / (beta + kt * p) : p;
  };
  let cl = 0,
    cm = 0,
    cdp = 0,
    cp1 = cpAt(0);
  for (let i = 0; i < n - 1; i++) {
    const cp2 = cpAt(i + 1);
    const dx = xy[2 * i + 2] - xy[2 * i],
      dy = xy[2 * i + 3] - xy[2 * i + 1];
    const cp = 0.5 * (cp1 + cp2),
      slope = cp2 - cp1;
    cl += cp * (dx * c + dy * s);
    cdp += cp * (dx * s - dy * c);
    const mx = 0.5 * (xy[2 * i] + xy[2 * i + 2]) - 0.25,
      my = 0.5 * (xy[2 * i + 1] + xy[2 * i + 3]);
    cm -= cp * (mx * dx + my * dy) + (slope / 12) * (dx * dx + dy * dy);
    cp1 = cp2;
  }
  return { cl, cm, cdp };
}

export interface InviscidPoint extends SectionForces {
  /** surface speed / stream; positive aft on the upper face */
  readonly speed: Float64Array;
}

/** The flow at one angle [rad], by superposition. */
export function inviscidAt(basis: InviscidBasis, alpha: number, mach = 0): InviscidPoint {
  const n = basis.arc.length;
  const c = Math.cos(alpha),
    s = Math.sin(alpha);
  const speed = new Float64Array(n);
  for (let i = 0; i < n; i++) speed[i] = c * basis.at0[i] + s * basis.at90[i];
  return { speed, ...forcesOf(basis.contour, speed, alpha, mach) };
}
