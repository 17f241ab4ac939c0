/** Types of supervise.mjs for the tests. */
export function backOff(quickEnds: number): number;
export function listens(port: number): Promise<boolean>;
