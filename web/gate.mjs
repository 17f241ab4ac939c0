// Who may speak to the application: own names only, writes from own pages only, no body longer than its place takes.
// Node built-ins only; `serve.mjs` asks it before anything else reads a request.

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const METHODS = ['GET', 'HEAD', 'POST', 'PUT'];

/** Largest bodies by address [bytes]; the first that fits counts. */
const LIMITS = [
  [/^\/api\/import$/, 600_000_000],
  [/^\/api\/tests\/\d+\/files$/, 80_000_000],
  [/^\/api\/tests\/\d+$/, 24_000_000],
  [/^\/api\/versions\/\d+$/, 4_000_000],
  [/^\/api\/polars$/, 3_000_000],
  [/^\/api\/bench$/, 200_000],
];
/** of anything else: calls of the pages */
const SMALL = 2_000_000;

/** Names this server answers to: loopback, and those of PUBLIC_HOST, separated by commas. */
export function hostsOf(publicHost = process.env.PUBLIC_HOST ?? '') {
  const named = publicHost
    .split(',')
    .map((h) => h.trim().toLowerCase())
    .filter(Boolean);
  return [...LOOPBACK, ...named];
}

const nameOf = (host) => host.toLowerCase().replace(/:\d+$/, '');
const pathOf = (url) => url.split('?')[0];

function originHost(origin) {
  try {
    return new URL(origin).host.toLowerCase();
  } catch {
    return null;
  }
}

/** @returns {[number, string] | null} status and sentence */
function bodyRefusal(url, headers) {
  if (headers['transfer-encoding'] !== undefined || headers['content-length'] === undefined)
    return [411, 'A request with a body says how long it is.'];
  const most = LIMITS.find(([at]) => at.test(pathOf(url)))?.[1] ?? SMALL;
  return Number(headers['content-length']) > most
    ? [413, `The request is larger than ${most / 1e6} MB, which is the most that is taken here.`]
    : null;
}

/**
 * Why a request is not let in; null when it is.
 * @param {{ method?: string, url?: string, headers: Record<string, string | string[] | undefined> }} request
 * @param {readonly string[]} hosts
 * @returns {{ status: number, message: string } | null}
 */
export function refusalOf({ method = 'GET', url = '/', headers }, hosts) {
  const no = (status, message) => ({ status, message });
  if (!METHODS.includes(method)) return no(405, `${method} is not answered here.`);
  const host = headers.host;
  if (typeof host !== 'string' || !hosts.includes(nameOf(host)))
    return no(421, 'This server does not go by that name. To give it another one, set PUBLIC_HOST.');
  if (method === 'GET' || method === 'HEAD') return null;
  if (typeof headers.origin !== 'string' || originHost(headers.origin) !== host.toLowerCase())
    return no(403, 'Only this application’s own pages may change anything here.');
  const body = bodyRefusal(url, headers);
  return body && no(...body);
}

/** The policy of a page: scripts by nonce and from here only, nothing from elsewhere, in no frame. */
export function contentPolicy(nonce) {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "worker-src 'self' blob:",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

export const SAFE_HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};

/** What a proxy or a page may not tell us about ourselves. */
const UNTRUSTED = ['x-forwarded-host', 'x-forwarded-proto', 'x-forwarded-port', 'forwarded', 'x-nonce'];

/** Headers of a request as the application may see them. */
export function withoutClaims(headers) {
  for (const name of UNTRUSTED) delete headers[name];
  return headers;
}

/** Whether an address is a page, which needs a policy of its own; files of the build are not. */
export const isPage = (url) => !pathOf(url).startsWith('/_next/static/');
