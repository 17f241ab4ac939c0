/** Who may speak to the application. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contentPolicy, hostsOf, isPage, refusalOf, withoutClaims } from '../web/gate.mjs';

const HOSTS = hostsOf('fen.example, Workshop.local');
const ask = (method: string, url: string, headers: Record<string, string>) =>
  refusalOf({ method, url, headers }, HOSTS);
const own = { host: '127.0.0.1:3000', origin: 'http://127.0.0.1:3000' };

describe('names', () => {
  it.each(['127.0.0.1:3000', 'localhost', 'LOCALHOST:1', '[::1]:3000', 'fen.example', 'workshop.local:80'])(
    'answers to %s',
    (host) => expect(ask('GET', '/', { host })).toBeNull(),
  );
  it.each(['evil.example', '127.0.0.1.evil.example', 'localhost.evil.example:3000', '', '127.0.0.2'])(
    'and not to “%s”, so that no page can take its name (rebinding)',
    (host) => expect(ask('GET', '/', { host })?.status).toBe(421),
  );
  it('nor to nobody', () => expect(ask('GET', '/', {})?.status).toBe(421));
  it('law: no name but those listed, whatever port', () => {
    fc.assert(
      fc.property(fc.webAuthority(), (host) => {
        fc.pre(!HOSTS.includes(host.toLowerCase().replace(/:\d+$/, '')));
        expect(ask('GET', '/', { host })?.status).toBe(421);
      }),
    );
  });
});

describe('writes', () => {
  const length = { 'content-length': '10' };
  it('come from own pages only', () => {
    expect(ask('POST', '/', { ...own, ...length })).toBeNull();
    expect(ask('PUT', '/api/versions/1', { ...own, ...length })).toBeNull();
    for (const origin of ['http://evil.example', 'null', 'http://127.0.0.1:3001', '', 'x'])
      expect(ask('POST', '/', { ...own, origin, ...length })?.status, origin).toBe(403);
    expect(ask('POST', '/', { host: own.host, ...length })?.status).toBe(403);
  });
  it.each(['TRACE', 'DELETE', 'OPTIONS', 'CONNECT', 'PATCH', 'PROPFIND'])('%s is not answered', (m) =>
    expect(ask(m, '/', { ...own, ...length })?.status).toBe(405),
  );
  it('say how long they are, and are no longer than their place takes', () => {
    expect(ask('POST', '/', own)?.status).toBe(411);
    expect(ask('POST', '/', { ...own, ...length, 'transfer-encoding': 'chunked' })?.status).toBe(411);
    for (const [url, most] of [
      ['/projects/1/versions/2/brief', 2e6],
      ['/api/bench', 2e5],
      ['/api/versions/7', 4e6],
      ['/api/tests/7', 24e6],
      ['/api/tests/7/files?name=/api/import', 80e6],
      ['/api/import', 600e6],
    ] as const) {
      const at = (n: number) => ask('POST', url, { ...own, 'content-length': String(n) });
      expect(at(most), url).toBeNull();
      expect(at(most + 1)?.status, url).toBe(413);
    }
  });
});

it('what a proxy claims about us is not believed', () => {
  const headers = { host: 'x', 'x-forwarded-host': 'evil.example', 'x-nonce': 'mine', accept: 'a' };
  expect(withoutClaims(headers)).toEqual({ host: 'x', accept: 'a' });
});
it('the policy of a page lets in its own scripts alone', () => {
  const policy = contentPolicy('abc');
  expect(policy).toContain("script-src 'self' 'nonce-abc'");
  expect(policy).not.toMatch(/unsafe-eval|\*|https?:/);
  expect(policy.match(/unsafe-inline/g)).toHaveLength(1);
  expect([isPage('/'), isPage('/projects/1?x'), isPage('/_next/static/a.js')]).toEqual([true, true, false]);
});
