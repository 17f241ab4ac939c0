'use client';
/** The aircraft in three dimensions: lofted surfaces, bodies, propellers, CG, neutral point, and its plan form as a shadow on the ground. */
import { useEffect, useMemo, useRef, useState } from 'react';
import { modelOf } from '@skiametra/core/assess';
import { powertrainOf, type Design } from '@skiametra/core/design';
import { aircraftMesh } from '@skiametra/core/layout';
import { DomainError } from '@skiametra/core/numeric';

interface Props {
  design: Design;
  cg: { x: number; z: number } | null;
  neutralX: number | null;
  height?: number;
}

const colour = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim() || '#888';

export function Aircraft3D({ design, cg, neutralX, height = 460 }: Props) {
  const power = powertrainOf(design);
  const box = useRef<HTMLDivElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const meshes = useMemo(() => {
    try {
      return aircraftMesh(design, new Map(design.sections.map((s) => [s.id, modelOf(s).outline])));
    } catch (e) {
      if (e instanceof DomainError) return null;
      throw e;
    }
  }, [design]);
  useEffect(() => {
    const host = box.current;
    if (!host || !meshes) return;
    let stop = () => undefined as void;
    let here = true;
    void Promise.all([import('three'), import('three/examples/jsm/controls/OrbitControls.js')]).then(
      ([T, { OrbitControls }]) => {
        if (!here) return;
        let renderer: InstanceType<typeof T.WebGLRenderer>;
        try {
          renderer = new T.WebGLRenderer({ antialias: true, alpha: true, stencil: true });
        } catch {
          setTrouble('This browser has no 3D drawing (WebGL); the three views show the same shape.');
          return;
        }
        const scene = new T.Scene(),
          w = host.clientWidth;
        const group = new T.Group();
        // design axes: x aft, y right, z up
        const bounds = new T.Box3();
        const ink = new T.Color(colour('--ink')),
          skin = new T.Color(colour('--paper-2'));
        for (const m of meshes) {
          const g = new T.BufferGeometry();
          g.setAttribute('position', new T.BufferAttribute(m.points, 3));
          g.setIndex(new T.BufferAttribute(m.triangles, 1));
          g.computeVertexNormals();
          group.add(
            new T.Mesh(g, new T.MeshStandardMaterial({ color: skin, roughness: 0.85, side: T.DoubleSide })),
          );
          group.add(
            new T.LineSegments(
              new T.EdgesGeometry(g, 32),
              new T.LineBasicMaterial({ color: ink, transparent: true, opacity: 0.55 }),
            ),
          );
          g.computeBoundingBox();
          bounds.union(g.boundingBox!);
        }
        const disc = (d: number, x: number, y: number, z: number, upright: boolean) => {
          const ring = new T.Mesh(
            new T.RingGeometry(0.96 * (d / 2), d / 2, 48),
            new T.MeshBasicMaterial({ color: ink, transparent: true, opacity: 0.5, side: T.DoubleSide }),
          );
          if (upright) ring.rotation.y = Math.PI / 2;
          ring.position.set(x, y, z);
          group.add(ring);
        };
        const { propeller: p } = power;
        if (!power.unpowered) disc(p.diameter, p.x, 0, p.z, true);
        for (const r of power.rotors ?? []) disc(r.diameter, r.x, r.y, r.z, false);
        const size = bounds.getSize(new T.Vector3()).length(),
          centre = bounds.getCenter(new T.Vector3());
        const mark = (x: number, z: number, c: string, kind: 'cg' | 'np') => {
          const m = new T.Mesh(
            kind === 'cg' ? new T.OctahedronGeometry(0.013 * size) : new T.SphereGeometry(0.009 * size),
            new T.MeshBasicMaterial({ color: colour(c), depthTest: false }),
          );
          m.renderOrder = 2;
          m.position.set(x, 0, z);
          group.add(m);
        };
        if (neutralX !== null) mark(neutralX, cg?.z ?? 0, '--ink', 'np');
        if (cg) mark(cg.x, cg.z, '--predicted', 'cg');
        scene.add(group);
        // the shadow: every part pressed flat on the ground
        const ground = bounds.min.z - 0.12 * size;
        const shade = new T.MeshBasicMaterial({
          color: ink,
          transparent: true,
          opacity: 0.16,
          side: T.DoubleSide,
          depthWrite: false,
          stencilWrite: true,
          stencilFunc: T.NotEqualStencilFunc,
          stencilRef: 1,
          stencilZPass: T.ReplaceStencilOp,
        });
        for (const m of meshes) {
          const flat = m.points.slice();
          for (let i = 2; i < flat.length; i += 3) flat[i] = ground;
          const g = new T.BufferGeometry();
          g.setAttribute('position', new T.BufferAttribute(flat, 3));
          g.setIndex(new T.BufferAttribute(m.triangles, 1));
          scene.add(new T.Mesh(g, shade));
        }
        scene.add(new T.HemisphereLight(0xffffff, 0x998f80, 2.1));
        const sun = new T.DirectionalLight(0xffffff, 1.4);
        sun.position.set(-size, -0.6 * size, 2 * size);
        scene.add(sun);
        renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
        renderer.setSize(w, height);
        const camera = new T.PerspectiveCamera(28, w / height, 0.01 * size, 20 * size);
        camera.up.set(0, 0, 1);
        camera.position.set(centre.x - 1.0 * size, centre.y - 0.92 * size, centre.z + 0.72 * size);
        const controls = new OrbitControls(camera, renderer.domElement);
        controls.target.copy(centre).setZ(centre.z - 0.05 * size);
        controls.maxPolarAngle = 0.495 * Math.PI;
        const draw = () => renderer.render(scene, camera);
        controls.addEventListener('change', draw);
        controls.update();
        renderer.domElement.setAttribute('aria-hidden', 'true');
        host.replaceChildren(renderer.domElement);
        draw();
        const fit = new ResizeObserver(() => {
          const v = host.clientWidth;
          if (v > 10) {
            renderer.setSize(v, height);
            camera.aspect = v / height;
            camera.updateProjectionMatrix();
            draw();
          }
        });
        fit.observe(host);
        stop = () => {
          fit.disconnect();
          controls.dispose();
          renderer.dispose();
          scene.traverse((o) => {
            if ('geometry' in o) (o.geometry as { dispose(): void }).dispose();
          });
        };
      },
    );
    return () => {
      here = false;
      stop();
    };
  }, [meshes, power, cg, neutralX, height]);
  if (!meshes) return <p className="stoptext">A section cannot be drawn; see Sections.</p>;
  return (
    <div>
      {trouble && <p className="dim">{trouble}</p>}
      <div
        ref={box}
        style={{ width: '100%', height, overflow: 'hidden' }}
        role="img"
        aria-label="Three-dimensional view; drag to turn, wheel to come nearer"
      />
      <div className="dim small">
        Drag to turn, wheel to come nearer. Indigo: CG; ink: neutral point; on the ground: the shadow of the
        plan form.
      </div>
    </div>
  );
}
