/** Relative spreads of methods that no test teaches. Common practice, no source, but for the lattice: see docs/methods.md. */
export const METHOD_SPREAD = { liftSlope: 0.05, yaw: 0.15, stallAngle: 0.1, rubber: 0.08 } as const;
