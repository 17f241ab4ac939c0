/** How the figures of a model are known. */
export const BASES = [
  { value: '', label: 'not said' },
  { value: 'guess', label: 'guess' },
  { value: 'copied', label: 'copied' },
  { value: 'claimed', label: 'claimed' },
  { value: 'measured', label: 'measured' },
] as const;
