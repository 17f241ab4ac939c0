/** Puts a scene on the page: camera, turning by hand, redrawn as its frame grows. */
import { buildScene, type Colours, type Shown } from './buildScene';

/** Narrower than this nothing is drawn [px]. */
const LEAST_WIDTH = 10;

/** @returns what takes it off again; null where the browser draws nothing in three dimensions */
export async function stage(host: HTMLElement, shown: Shown, colours: Colours, height: number) {
  const [T, { OrbitControls }] = await Promise.all([
    import('three'),
    import('three/examples/jsm/controls/OrbitControls.js'),
  ]);
  let renderer: InstanceType<typeof T.WebGLRenderer>;
  try {
    renderer = new T.WebGLRenderer({ antialias: true, alpha: true, stencil: true });
  } catch {
    return null;
  }
  const { scene, size, centre } = buildScene(T, shown, colours);
  const width = Math.max(host.clientWidth, LEAST_WIDTH);
  renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
  renderer.setSize(width, height);
  const camera = new T.PerspectiveCamera(28, width / height, 0.01 * size, 20 * size);
  camera.up.set(0, 0, 1);
  camera.position.set(centre.x - size, centre.y - 0.92 * size, centre.z + 0.72 * size);
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
    const w = host.clientWidth;
    if (w <= LEAST_WIDTH) return;
    renderer.setSize(w, height);
    camera.aspect = w / height;
    camera.updateProjectionMatrix();
    draw();
  });
  fit.observe(host);
  return () => {
    fit.disconnect();
    controls.dispose();
    renderer.dispose();
    scene.traverse((o) => {
      if ('geometry' in o) (o.geometry as { dispose(): void }).dispose();
    });
  };
}
