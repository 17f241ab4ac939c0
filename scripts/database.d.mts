/** Types of database.mjs for the tests. */
export interface Cluster {
  home: string;
  port: number;
  url(db: string): string;
  keeperUrl(db: string): string;
  running(): boolean;
  start(): void;
  stop(): void;
  kill(): void;
}
export interface Holders {
  hold(pid?: number): void;
  release(pid?: number): void;
  others(pid?: number): number[];
}
/** The folder a cluster lies in. */
export function clusterHome(name: string): string;
export function startCluster(name: string, options?: { throwaway?: boolean }): Promise<Cluster>;
export function holdersOf(home: string): Holders;
export function releaseFor(home: string, pid: number): void;
export function whyNotStarted(dir: string, logEnd: string): string;
export function binaries(): string | null;
