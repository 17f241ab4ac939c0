/** The ways a state may leave and come back. */
export const LEAVING = [
  'run',
  'hand',
  'bungee',
  'winch',
  'rail',
  'dolly',
  'hover',
  'towed',
  'dropped',
] as const;
export type Leaving = (typeof LEAVING)[number];
export const RETURNING = ['run', 'belly', 'catch', 'net', 'hover', 'spot'] as const;
export type Returning = (typeof RETURNING)[number];
