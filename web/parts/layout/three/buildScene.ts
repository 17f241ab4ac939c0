/** The aircraft as a scene: lofted surfaces, bodies, discs, marks, and its plan form as a shadow on the ground. */
import type * as Three from 'three';
import type { aircraftMesh, ThrustDisc } from '@skiametra/core/layout';

type T = typeof Three;
type Meshes = ReturnType<typeof aircraftMesh>;

export interface Shown {
  readonly meshes: Meshes;
  readonly discs: readonly ThrustDisc[];
  readonly cg: { readonly x: number; readonly z: number } | null;
  readonly neutralX: number | null;
}
export interface Colours {
  readonly ink: string;
  readonly skin: string;
  readonly predicted: string;
}
export interface Built {
  readonly scene: Three.Scene;
  /** diagonal of the aircraft [m] */ readonly size: number;
  readonly centre: Three.Vector3;
}

/** Design axes: x aft, y right, z up [m]. */
export function buildScene(T: T, shown: Shown, colours: Colours): Built {
  const scene = new T.Scene();
  const { group, bounds } = skinned(T, shown.meshes, colours);
  const size = bounds.getSize(new T.Vector3()).length(),
    centre = bounds.getCenter(new T.Vector3());
  for (const d of shown.discs) {
    if (d.ahead) group.add(disc(T, d, true, colours.ink));
    if (d.up) group.add(disc(T, d, false, colours.ink));
  }
  const { cg, neutralX } = shown;
  if (neutralX !== null)
    group.add(mark(T, new T.SphereGeometry(0.009 * size), neutralX, cg?.z ?? 0, colours.ink));
  if (cg) group.add(mark(T, new T.OctahedronGeometry(0.013 * size), cg.x, cg.z, colours.predicted));
  scene.add(group, ...shadow(T, shown.meshes, bounds.min.z - 0.12 * size, colours.ink));
  scene.add(new T.HemisphereLight(0xffffff, 0x998f80, 2.1));
  const sun = new T.DirectionalLight(0xffffff, 1.4);
  sun.position.set(-size, -0.6 * size, 2 * size);
  scene.add(sun);
  return { scene, size, centre };
}

function geometry(T: T, points: Float32Array, triangles: Uint32Array): Three.BufferGeometry {
  const g = new T.BufferGeometry();
  g.setAttribute('position', new T.BufferAttribute(points, 3));
  g.setIndex(new T.BufferAttribute(triangles, 1));
  return g;
}

function skinned(T: T, meshes: Meshes, { ink, skin }: Colours) {
  const group = new T.Group(),
    bounds = new T.Box3();
  for (const m of meshes) {
    const g = geometry(T, m.points, m.triangles);
    g.computeVertexNormals();
    g.computeBoundingBox();
    if (g.boundingBox) bounds.union(g.boundingBox);
    const cloth = new T.MeshStandardMaterial({ color: skin, roughness: 0.85, side: T.DoubleSide });
    const lines = new T.LineBasicMaterial({ color: ink, transparent: true, opacity: 0.55 });
    group.add(new T.Mesh(g, cloth), new T.LineSegments(new T.EdgesGeometry(g, 32), lines));
  }
  return { group, bounds };
}

/** @param upright turned as a propeller, not as a lifting rotor */
function disc(T: T, { diameter, x, y, z }: ThrustDisc, upright: boolean, color: string): Three.Mesh {
  const paint = new T.MeshBasicMaterial({ color, transparent: true, opacity: 0.5, side: T.DoubleSide });
  const ring = new T.Mesh(new T.RingGeometry(0.48 * diameter, 0.5 * diameter, 48), paint);
  if (upright) ring.rotation.y = Math.PI / 2;
  ring.position.set(x, y, z);
  return ring;
}

function mark(T: T, shape: Three.BufferGeometry, x: number, z: number, color: string): Three.Mesh {
  const m = new T.Mesh(shape, new T.MeshBasicMaterial({ color, depthTest: false }));
  m.renderOrder = 2;
  m.position.set(x, 0, z);
  return m;
}

/** Every part pressed flat on the ground; where two lie over each other it is not darker. */
function shadow(T: T, meshes: Meshes, ground: number, color: string): Three.Mesh[] {
  const shade = new T.MeshBasicMaterial({
    color,
    transparent: true,
    opacity: 0.16,
    side: T.DoubleSide,
    depthWrite: false,
    stencilWrite: true,
    stencilFunc: T.NotEqualStencilFunc,
    stencilRef: 1,
    stencilZPass: T.ReplaceStencilOp,
  });
  return meshes.map((m) => {
    const flat = m.points.slice();
    for (let i = 2; i < flat.length; i += 3) flat[i] = ground;
    return new T.Mesh(geometry(T, flat, m.triangles), shade);
  });
}
