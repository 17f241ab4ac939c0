/** What a formula may be made with, as it is put in and in words. */
export const FUNCTION_WORDS = [
  { name: 'min(', what: 'the least: min(a, b, …)' },
  { name: 'max(', what: 'the most: max(a, b, …)' },
  { name: 'rank(', what: 'place among others, 1 for the most: rank(ours, theirs, …)' },
  { name: 'steps(', what: 'points from a place on: steps(x, place, points, …)' },
  { name: 'table(', what: 'straight between places: table(x, place, points, …)' },
  { name: 'floor(', what: 'whole number below' },
  { name: 'ceil(', what: 'whole number above' },
  { name: 'round(', what: 'nearest whole number' },
  { name: 'abs(', what: 'without its sign' },
  { name: 'sqrt(', what: 'square root' },
  { name: 'exp(', what: 'e to the power' },
  { name: 'log(', what: 'natural logarithm' },
] as const;
