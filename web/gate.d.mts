interface Asked {
  method?: string;
  url?: string;
  headers: Record<string, string | string[] | undefined>;
}
export function hostsOf(publicHost?: string): string[];
export function refusalOf(
  request: Asked,
  hosts: readonly string[],
): { status: number; message: string } | null;
export function contentPolicy(nonce: string): string;
export function withoutClaims<T extends Record<string, unknown>>(headers: T): T;
export function isPage(url: string): boolean;
export const SAFE_HEADERS: Readonly<Record<string, string>>;
