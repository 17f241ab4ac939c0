/** Kinds of members: what they are called, which sizes and materials they have, and what a new one begins with. */
import type { MemberKind, MemberShape } from '@skiametra/core/design';

interface Kind {
  readonly value: MemberKind;
  readonly label: string;
  /** of what the kind is for */ readonly says: string;
  readonly sizes: readonly { key: string; label: string; tapers?: false }[];
  readonly materials: readonly { key: string; label: string }[];
  readonly begin: MemberShape;
}

const size = (key: string, label: string) => ({ key, label });
const own = [{ key: 'material', label: 'Material' }];
const capped = [size('height', 'Depth'), size('width', 'Width'), size('cap', 'Cap'), size('web', 'Web')];
const capsAndWeb = [
  { key: 'capMaterial', label: 'Caps' },
  { key: 'webMaterial', label: 'Web' },
];
const CAPPED = {
  height: 0.02,
  width: 0.008,
  cap: 0.001,
  capMaterial: 'carbon-pultruded',
  webMaterial: 'balsa',
};

export const KINDS: readonly Kind[] = [
  {
    value: 'tube',
    label: 'Tube',
    says: 'round, through the wing',
    sizes: [size('outer', 'Diameter'), size('wall', 'Wall')],
    materials: own,
    begin: { kind: 'tube', outer: 0.01, wall: 0.001, material: 'carbon-tube' },
  },
  {
    value: 'rod',
    label: 'Rod',
    says: 'round and solid',
    sizes: [size('outer', 'Diameter')],
    materials: own,
    begin: { kind: 'rod', outer: 0.004, material: 'carbon-pultruded' },
  },
  {
    value: 'strip',
    label: 'Strip',
    says: 'a solid rectangle',
    sizes: [size('height', 'Depth'), size('width', 'Width')],
    materials: own,
    begin: { kind: 'strip', height: 0.006, width: 0.006, material: 'spruce' },
  },
  {
    value: 'square tube',
    label: 'Square tube',
    says: 'hollow rectangle of one wall',
    sizes: [size('height', 'Depth'), size('width', 'Width'), size('wall', 'Wall')],
    materials: own,
    begin: { kind: 'square tube', height: 0.008, width: 0.008, wall: 0.001, material: 'alu-6061' },
  },
  {
    value: 'caps',
    label: 'Caps on a web',
    says: 'two caps on one web; a web as wide as they are is a core',
    sizes: capped,
    materials: capsAndWeb,
    begin: { kind: 'caps', ...CAPPED, web: 0.003 },
  },
  {
    value: 'box',
    label: 'Box',
    says: 'two caps between two webs',
    sizes: capped,
    materials: capsAndWeb,
    begin: { kind: 'box', ...CAPPED, web: 0.0015 },
  },
  {
    value: 'i',
    label: 'I',
    says: 'flanges and web of one material',
    sizes: capped,
    materials: own,
    begin: { kind: 'i', height: 0.016, width: 0.01, cap: 0.001, web: 0.001, material: 'alu-6061' },
  },
  {
    value: 'channel',
    label: 'Channel',
    says: 'web upright at one edge, or lying with the flanges up',
    sizes: capped,
    materials: own,
    begin: {
      kind: 'channel',
      height: 0.012,
      width: 0.01,
      cap: 0.001,
      web: 0.001,
      material: 'alu-6061',
      lies: false,
    },
  },
  {
    value: 'nose',
    label: 'Closed nose',
    says: 'skin ahead of a web: a closed cell that resists twist',
    sizes: [size('skin', 'Skin'), size('web', 'Web')],
    materials: [
      { key: 'skinMaterial', label: 'Skin' },
      { key: 'webMaterial', label: 'Web' },
    ],
    begin: { kind: 'nose', skin: 0.0015, skinMaterial: 'balsa', web: 0.003, webMaterial: 'balsa' },
  },
  {
    value: 'sandwich',
    label: 'Skin over a core',
    says: 'skin around the section, filled',
    sizes: [size('skin', 'Skin')],
    materials: [
      { key: 'skinMaterial', label: 'Skin' },
      { key: 'coreMaterial', label: 'Core' },
    ],
    begin: { kind: 'sandwich', skin: 0.0002, skinMaterial: 'glass-cloth', coreMaterial: 'xps-32' },
  },
  {
    value: 'print',
    label: 'Printed shell',
    says: 'wall around the section, with infill',
    sizes: [size('wall', 'Wall'), { key: 'infill', label: 'Infill', tapers: false }],
    materials: own,
    begin: { kind: 'print', wall: 0.0009, material: 'pla-flat', infill: 0.05 },
  },
  {
    value: 'sheet',
    label: 'Bare sheet',
    says: 'board or sheet over the chord, curved as the section',
    sizes: [size('thickness', 'Thickness')],
    materials: own,
    begin: { kind: 'sheet', thickness: 0.003, material: 'foam-sheet' },
  },
];

export const kindOf = (kind: string): Kind => KINDS.find((k) => k.value === kind) ?? KINDS[0]!;
