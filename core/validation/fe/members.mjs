// Members as blocks of 20-node solids for the general-purpose finite-element program CalculiX (Debian package calculix-ccx).
//   node core/validation/fe/members.mjs NAME > NAME.inp && ccx NAME && tail -n +2 NAME.dat
// Run by hand; what it printed stands in structureFe.test.ts. E 70 GPa, nu 0.3; metres, newtons.
const E = 70e9,
  NU = 0.3;

/** Cells of a cross-section grid [m] that are filled, at the root; `scale` shrinks it along the length. */
const MEMBERS = {
  // strip 20 x 10 to the middle, 14 x 10 beyond; 10 N at the tip
  stepped: {
    length: 1,
    slices: 40,
    x: [0, 0.01],
    y: [-0.01, -0.007, 0, 0.007, 0.01],
    filled: (_i, j, z) => z < 0.5 || (j > 0 && j < 3),
    scale: () => 1,
    load: 'tip',
    force: 10,
  },
  // channel that lies, 40 wide, 20 high, 2 mm; 10 N at the tip
  channel: {
    length: 1,
    slices: 50,
    x: [0, 0.002, 0.011, 0.02, 0.029, 0.038, 0.04],
    y: [0, 0.002, 0.011, 0.02],
    filled: (i, j) => j === 0 || i === 0 || i === 5,
    scale: () => 1,
    load: 'tip',
    force: 10,
  },
  // square tube 30 x 30 x 3 tapering to half of all sizes; 20 N spread evenly
  tapered: {
    length: 1,
    slices: 50,
    x: [0, 0.003, 0.015, 0.027, 0.03].map((v) => v - 0.015),
    y: [0, 0.003, 0.015, 0.027, 0.03].map((v) => v - 0.015),
    filled: (i, j) => i === 0 || i === 3 || j === 0 || j === 3,
    scale: (t) => 1 - 0.5 * t,
    load: 'even',
    force: 20,
  },
  // strip on edge, 20 x 1; 1 N at the tip: the factor at which it turns over
  sideways: {
    length: 0.5,
    slices: 60,
    x: [0, 0.001],
    y: [-0.01, -0.005, 0, 0.005, 0.01],
    filled: () => true,
    scale: () => 1,
    load: 'tip',
    force: 1,
    buckles: true,
  },
};

const m = MEMBERS[process.argv[2]];
if (!m) throw new Error(`name one of ${Object.keys(MEMBERS).join(', ')}`);
const nodes = new Map();
const half = (list, k) => (k % 2 ? (list[(k - 1) / 2] + list[(k + 1) / 2]) / 2 : list[k / 2]);
function node(i, j, k) {
  const key = `${i} ${j} ${k}`;
  if (!nodes.has(key)) {
    const z = (m.length * k) / (2 * m.slices),
      s = m.scale(z / m.length);
    nodes.set(key, { id: nodes.size + 1, i, j, k, x: s * half(m.x, i), y: s * half(m.y, j), z });
  }
  return nodes.get(key).id;
}
const CORNERS = ['000', '200', '220', '020', '002', '202', '222', '022'],
  EDGES = ['100', '210', '120', '010', '102', '212', '122', '012', '001', '201', '221', '021'],
  PLACES = [...CORNERS, ...EDGES].map((text) => [...text].map(Number));
const elements = [];
for (let k = 0; k < m.slices; k++)
  for (let i = 0; i < m.x.length - 1; i++)
    for (let j = 0; j < m.y.length - 1; j++) {
      if (!m.filled(i, j, (m.length * (k + 0.5)) / m.slices)) continue;
      elements.push(PLACES.map(([a, b, c]) => node(2 * i + a, 2 * j + b, 2 * k + c)));
    }
const all = [...nodes.values()],
  end = 2 * m.slices,
  at = (k) => all.filter((n) => n.k === k);
const forces = [];
for (let k = 0; k <= end; k++) {
  const weight =
    m.load === 'tip' ? (k === end ? 1 : 0) : (k === 0 || k === end ? 1 : k % 2 ? 4 : 2) / (3 * end);
  if (weight > 0) for (const n of at(k)) forces.push(`${n.id},2,${(m.force * weight) / at(k).length}`);
}
const lines = (list) => list.join('\n');
console.log(`*NODE,NSET=ALL
${lines(all.map((n) => `${n.id},${n.x},${n.y},${n.z}`))}
*ELEMENT,TYPE=C3D20R,ELSET=BODY
${lines(elements.map((e, i) => `${i + 1},${e.slice(0, 10)},\n${e.slice(10)}`))}
*NSET,NSET=ROOT
${lines(at(0).map((n) => `${n.id},`))}
*NSET,NSET=TIP
${lines(at(end).map((n) => `${n.id},`))}
*MATERIAL,NAME=M
*ELASTIC
${E},${NU}
*SOLID SECTION,ELSET=BODY,MATERIAL=M
*BOUNDARY
ROOT,1,3
*STEP
${m.buckles ? '*BUCKLE\n2' : '*STATIC'}
*CLOAD
${lines(forces)}
${m.buckles ? '' : '*NODE PRINT,NSET=TIP\nU'}
*END STEP`);
