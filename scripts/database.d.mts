/** Types of database.mjs for the tests. */
export interface Cluster {
  url(db: string): string;
  start(): void;
  stop(): void;
  kill(): void;
}
/** The folder a cluster lies in. */
export function clusterHome(name: string): string;
export function startCluster(name: string, options?: { throwaway?: boolean }): Promise<Cluster>;
