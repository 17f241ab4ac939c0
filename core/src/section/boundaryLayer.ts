/**
 * One-way boundary-layer estimate on a given surface speed (chord 1, stream 1, nu = 1/Re).
 * Laminar: Thwaites, Aeronautical Quarterly 1, 1949. Transition: Michel's curve fit
 * (Cebeci and Bradshaw, Momentum Transfer in Boundary Layers, 1977), or after a laminar bubble whose
 * laminar length is 4e4 / Re_theta momentum thicknesses (Horton, ARC CP 1073, 1969, from memory).
 * Turbulent: Head's entrainment, ARC R&M 3152, 1958, with Ludwieg-Tillmann friction.
 * Limits: the pressure is not changed by the layer, so drag near stall and bubble drag below
 * Re 1e5 are estimates only.
 */

export interface LayerEnd {
  /** momentum thickness, displacement thickness and edge speed at the end of the attached layer */
  theta: number;
  deltaStar: number;
  edgeSpeed: number;
  shape: number;
  /** arc length of transition and of turbulent separation as fractions of the surface; 1 when absent */
  transition: number;
  separation: number;
  /** laminar bubble length / surface length */
  bubble: number;
}

/** Literature gives 1.8 to 2.4 for separation by Head's method; 2.0 lies nearest to published largest lift at model Reynolds numbers. */
const H_SEPARATED = 2.0;

/** Displacement is read here, not at the edge itself, where the inviscid flow stagnates and the real one does not. */
const NEAR_EDGE = 0.95;

/** Shape parameter H from Thwaites' lambda. Cebeci and Bradshaw 1977. */
function thwaitesShape(lambda: number): number {
  return lambda >= 0 ? 2.61 - 3.75 * lambda + 5.24 * lambda * lambda : 2.088 + 0.0731 / (0.14 + lambda);
}

/** Head's H1(H), Cebeci and Bradshaw's fit. */
function headH1(H: number): number {
  return H <= 1.6 ? 3.3 + 0.8234 * Math.max(H - 1.1, 1e-4) ** -1.287 : 3.3 + 1.5501 * (H - 0.6778) ** -3.064;
}

function headH(h1: number): number {
  if (h1 <= 3.32) return 3;
  return h1 >= 5.3 ? 1.1 + 0.86 * (h1 - 3.3) ** -0.777 : 0.6778 + 1.1536 * (h1 - 3.3) ** -0.326;
}

/** Ludwieg and Tillmann skin friction. */
function frictionTurbulent(H: number, reTheta: number): number {
  return 0.246 * 10 ** (-0.678 * H) * Math.max(reTheta, 50) ** -0.268;
}

/**
 * @param s arc length from the stagnation point, ascending, m; @param u edge speed, m, u[0] near 0
 * @param re Reynolds number on chord
 */
export function marchLayer(s: Float64Array, u: Float64Array, re: number): LayerEnd {
  const m = s.length;
  const nu = 1 / re;
  const total = s[m - 1];
  // a layer begins at a stagnation point with Hiemenz's thickness, on a sharp leading edge with none
  const begins = u[0] < 0.5 * u[1] ? Math.sqrt((0.075 * nu * (s[1] - s[0])) / (u[1] - u[0])) : 0;
  let integral = 0, theta = begins, H = 2.24;
  let i = 1, bubble = 0;
  let start = -1;
  for (; i < m; i++) {
    const ds = s[i] - s[i - 1];
    const um = 0.5 * (u[i] + u[i - 1]);
    integral += um ** 5 * ds;
    theta = Math.sqrt((0.45 * nu * integral) / Math.max(u[i], 1e-3) ** 6 + (i < 2 ? begins * begins : 0));
    const dudx = (u[i] - u[i - 1]) / ds;
    const lambda = Math.max(-0.12, Math.min(0.25, (theta * theta * dudx) / nu));
    const reTheta = (u[i] * theta) / nu;
    const reS = (u[i] * s[i]) / nu;
    H = thwaitesShape(Math.max(lambda, -0.089));
    if (lambda < -0.09 && i > 2) {
      bubble = (theta * 4e4) / Math.max(reTheta, 1);
      start = i;
      break;
    }
    if (reTheta > 1.174 * (1 + 22400 / Math.max(reS, 1)) * reS ** 0.46) { start = i; break; }
  }
  if (start < 0) return { theta, deltaStar: H * theta, edgeSpeed: u[m - 1], shape: H, transition: 1, separation: 1, bubble: 0 };
  const sOn = s[start] + bubble;
  for (i = start + 1; i < m && s[i] < sOn; i++) theta *= (u[i - 1] / Math.max(u[i], 1e-3)) ** (3.5 + 2);
  if (i >= m) {
    const f = s[start] / total;
    return { theta, deltaStar: 4 * theta, edgeSpeed: u[m - 1], shape: 4, transition: 1, separation: f, bubble: 1 - f };
  }
  H = bubble > 0 ? 1.7 : 1.45;
  let flux = u[i - 1] * theta * headH1(H);
  const transition = s[i - 1] / total;
  const slices = 4;
  let early = 0;
  for (; i < m; i++) {
    if (s[i - 1] <= NEAR_EDGE * total) early = H * theta;
    const h = (s[i] - s[i - 1]) / slices;
    const du = (u[i] - u[i - 1]) / slices;
    for (let k = 1; k <= slices; k++) {
      const ue = u[i - 1] + du * (k - 0.5);
      const h1 = flux / (ue * theta);
      H = headH(h1);
      if (!(H < H_SEPARATED)) return { theta, deltaStar: (s[i - 1] + h * k > NEAR_EDGE * total ? early : 0) || H * theta, edgeSpeed: ue, shape: H, transition, separation: (s[i - 1] + h * k) / total, bubble: bubble / total };
      const cf = frictionTurbulent(H, (ue * theta) / nu);
      theta += h * (0.5 * cf - ((H + 2) * theta * du) / (h * ue));
      flux += h * ue * 0.0306 * Math.max(h1 - 3, 1e-3) ** -0.6169;
    }
  }
  return { theta, deltaStar: early || H * theta, edgeSpeed: u[m - 1], shape: H, transition, separation: 1, bubble: bubble / total };
}
