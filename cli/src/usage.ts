/** A mistake at the command line; its message is the one sentence shown. */
export class UsageError extends Error {}
