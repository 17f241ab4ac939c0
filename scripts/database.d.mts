/** Types of database.mjs for the tests. */
export interface Cluster { url(db: string): string; start(): void; stop(): void; kill(): void }
export function startCluster(name: string, options?: { throwaway?: boolean }): Promise<Cluster>;
