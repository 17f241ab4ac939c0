/** Types of backup.mjs for the tests. */
export function backUp(url: string, file: string): string;
export function countsOf(url: string): Record<string, number>;
export function verify(urlOf: (db: string) => string, file: string): Record<string, number>;
export function restore(urlOf: (db: string) => string, role: string, file: string, db?: string): string;
