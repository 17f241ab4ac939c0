/** The edge as the network sees it: names, origins, methods, sizes, headers. */
import http from 'node:http';
import { expect, test } from '@playwright/test';
import { newProject } from './helpers';

interface Ask {
  method?: string;
  path?: string;
  headers?: Record<string, string>;
  body?: string;
}

test('who may speak to it, and how', async ({ baseURL }) => {
  const { hostname, port, host, origin } = new URL(baseURL!);
  const ask = ({ method = 'GET', path = '/', headers = {}, body }: Ask) =>
    new Promise<{ status: number; headers: http.IncomingHttpHeaders; text: string }>((done, failed) => {
      const r = http.request({ hostname, port, method, path, headers: { host, ...headers } }, (res) => {
        let text = '';
        res.on('data', (d: Buffer) => (text += d.toString()));
        res.on('end', () => done({ status: res.statusCode!, headers: res.headers, text }));
      });
      r.on('error', failed);
      r.end(body);
    });
  const page = await ask({});
  expect(page.status).toBe(200);
  const nonce = /'nonce-([^']+)'/.exec(String(page.headers['content-security-policy']))![1];
  expect(page.text).toContain(`nonce="${nonce}"`);
  expect(page.headers).toMatchObject({ 'x-frame-options': 'DENY', 'x-content-type-options': 'nosniff' });
  expect(/'nonce-([^']+)'/.exec(String((await ask({})).headers['content-security-policy']))![1]).not.toBe(
    nonce,
  );
  expect((await ask({ headers: { host: `evil.example:${port}` } })).status).toBe(421);
  expect((await ask({ method: 'TRACE' })).status).toBe(405);
  const write = { method: 'PUT', path: '/api/versions/1', body: '{}' };
  const length = { 'content-length': '2' };
  expect((await ask({ ...write, headers: length })).status).toBe(403);
  expect((await ask({ ...write, headers: { ...length, origin: 'http://evil.example' } })).status).toBe(403);
  const forwarded = { ...length, origin: 'http://evil.example', 'x-forwarded-host': 'evil.example' };
  expect((await ask({ ...write, headers: forwarded })).status).toBe(403);
  expect((await ask({ ...write, headers: { ...length, origin } })).status).toBe(400);
  expect((await ask({ ...write, headers: { origin, 'transfer-encoding': 'chunked' } })).status).toBe(411);
});

test('a page of an earlier build is told to reload', async ({ page }) => {
  await newProject(page, 'Earlier build', 'plain');
  await page.goto('/');
  await page.route('**/*', (r) =>
    r.request().method() === 'POST'
      ? r.fulfill({
          status: 404,
          headers: { 'x-nextjs-action-not-found': '1' },
          body: 'Server action not found.',
        })
      : r.continue(),
  );
  const row = page.locator('article').filter({ hasText: 'Earlier build' });
  await row.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText(/application was updated meanwhile: reload/)).toBeVisible();
  await expect(row).toHaveCount(1);
});
