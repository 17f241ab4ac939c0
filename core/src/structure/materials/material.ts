/**
 * What a material stands, along the member: short-time means, how far pieces differ, and what of it may be counted on.
 * A design value is reached by 19 of 20 pieces (lower 5 % of a normal scatter), less what clean coupons do not have.
 */

export const MATERIAL_KINDS = [
  'metal',
  'wood',
  'composite',
  'foam',
  'print',
  'board',
  'film',
  'thread',
] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

export interface Material {
  readonly id: string;
  readonly name: string;
  readonly kind: MaterialKind;
  /** along the member [Pa] */ readonly modulus: number;
  /** across it: around a tube's wall, over a board's width [Pa] */ readonly across: number;
  /** in its plane [Pa] */ readonly shearModulus: number;
  /** mean strengths along the member [Pa]; what only pulls has no compression */ readonly tension: number;
  readonly compression: number;
  readonly shear: number;
  /** [kg/m3] */ readonly density: number;
  /** spread of the strength of pieces over its mean */ readonly scatter: number;
  /** share left by notches, glue lines, damp and heat */ readonly knockdown: number;
  readonly source: string;
  /** stresses at which pieces of it broke [Pa]; they take the place of mean, scatter and knock-down */
  readonly coupons?: Readonly<Partial<Record<Mode, readonly number[]>>>;
}

export const MODES = ['tension', 'compression', 'shear'] as const;
export type Mode = (typeof MODES)[number];

/** Normal quantile of the lower 5 %. */
export const ONE_IN_TWENTY = 1.6448536269514722;
