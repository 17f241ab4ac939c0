/** Work keeps itself: reload, two windows, a server that is away, a server that is killed, export and import. */
import { spawn, type ChildProcess } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import net from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { newProject, paste, saved, signIn, station, stripNumber, type } from './helpers';

test('saves itself, survives a reload, undoes and redoes; units belong to the person', async ({ page }) => {
  await newProject(page, 'Keeping', 'bittern');
  // units of the person that the other pages work as are left alone
  await signIn(page, 'Thumb and Rule');
  await type(page, 'Strip length', '25');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Strip length')).toHaveValue('25');
  await type(page, 'Strip length', '30');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Strip length')).toHaveValue('25');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByLabel('Strip length')).toHaveValue('30');
  await saved(page);
  await page.getByRole('button', { name: /metric units/ }).click();
  const kept = page.waitForResponse((r) => r.request().method() === 'POST');
  await page.getByRole('menuitem', { name: /Imperial/ }).click();
  await expect(page.getByLabel('Strip length')).toHaveValue('98.4252');
  await kept;
  await page.reload();
  await expect(page.getByLabel('Strip length')).toHaveValue('98.4252');
  await page.getByRole('button', { name: /imperial units/ }).click();
  await page.getByRole('menuitem', { name: /Metric/ }).click();
  await expect(page.getByLabel('Strip length')).toHaveValue('30');
});

test('arrow keys nudge, the table pastes from a spreadsheet, the palette finds a number', async ({
  page,
}) => {
  await newProject(page, 'Hands', 'bittern');
  await page.getByLabel('Strip length').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Strip length')).toHaveValue('21');
  await station(page, 'Balance');
  await page.locator('.mantine-SegmentedControl-root').first().getByText('Masses', { exact: true }).click();
  await page.getByLabel('Weighed, row 2', { exact: true }).focus();
  await paste(page, '28.5\n431\n61\n');
  await expect(page.getByLabel('Weighed, row 3', { exact: true })).toHaveValue('431');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Weighed, row 3', { exact: true })).toHaveValue('');
  await station(page, 'Shape');
  const stations = page.getByRole('table', { name: 'Wing stations' });
  await stations.getByLabel('Chord, row 1').focus();
  await paste(page, '280\t1\n260\t0\n');
  await expect(stations.getByLabel('Chord, row 2')).toHaveValue('260');
  await expect(stations.getByLabel('Twist, row 1')).toHaveValue('1');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A station, a number, a state').fill('tail volume');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Why this number' })).toContainText(
    'arm between quarter chords',
  );
});

test('two windows on one version: the later save is told and both changes are kept', async ({ browser }) => {
  const a = await (await browser.newContext()).newPage(),
    b = await (await browser.newContext()).newPage();
  const base = await newProject(a, 'Two windows', 'bittern');
  await b.goto(`${base}/brief`);
  await expect(b.getByLabel('Strip length')).toHaveValue('20');
  await type(a, 'Strip length', '26');
  await saved(a);
  await type(b, 'Elevation', '120');
  await expect(b.getByText('Changed in another window')).toBeVisible();
  await b.getByRole('button', { name: 'Merge both' }).click();
  await expect(b.getByLabel('Strip length')).toHaveValue('26');
  await expect(b.getByLabel('Elevation')).toHaveValue('120');
  await saved(b);
  await type(a, 'Strip length', '27');
  await expect(a.getByText('Changed in another window')).toBeVisible();
  await a.getByRole('button', { name: 'Keep mine' }).click();
  await saved(a);
  await b.reload();
  await expect(b.getByLabel('Strip length')).toHaveValue('27');
});

test('everything can be backed up from the shelf', async ({ page }) => {
  await page.goto('/');
  const file = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Back up everything' }).click();
  const path = await (await file).path();
  expect((await readFile(path)).subarray(0, 5).toString()).toBe('PGDMP');
});

test('the export opens again, and its export is byte for byte the same', async ({ page }) => {
  await newProject(page, 'Round trip', 'bittern');
  const exported = async () => {
    const id = /projects\/(\d+)/.exec(page.url())![1];
    return (await page.request.get(`/api/projects/${id}/export`)).body();
  };
  const first = await exported();
  await page.goto('/');
  await page.getByLabel('Project file').setInputFiles({
    name: 'p.skiametra.zip',
    mimeType: 'application/zip',
    buffer: first,
  });
  await expect(page).toHaveURL(/\/versions\/\d+\/brief/);
  expect((await exported()).equals(first)).toBe(true);
});

test('deleted elsewhere: nothing says saved, a file can be had, and it can be brought back', async ({
  browser,
}) => {
  const a = await (await browser.newContext()).newPage(),
    b = await (await browser.newContext()).newPage();
  await newProject(a, 'Going', 'plain');
  await b.goto('/');
  const row = b.locator('article').filter({ hasText: 'Going' });
  await row.getByRole('button', { name: 'Delete' }).click();
  await expect(row).toHaveCount(0);
  await type(a, 'Strip length', '44');
  await expect(a.locator('[data-save]')).toHaveAttribute('data-save', 'gone', { timeout: 20_000 });
  const file = a.waitForEvent('download');
  await a.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await file).suggestedFilename()).toBe('going.skiametra.json');
  await b.getByText(/deleted project/).click();
  await expect(b.locator('.deletedrow').filter({ hasText: 'Going' })).toContainText('by Pilot');
  await a.getByRole('button', { name: 'Bring the project back' }).click();
  await saved(a);
  await a.reload();
  await expect(a.getByLabel('Strip length')).toHaveValue('44');
});

test('work of a tab that was closed is offered by the next one', async ({ page, context }) => {
  const base = await newProject(page, 'Orphan', 'plain');
  await context.route('**/api/versions/*', (r) => r.abort());
  await type(page, 'Strip length', '41');
  await expect(page.locator('[data-kept]')).toHaveAttribute('data-kept', 'kept', { timeout: 20_000 });
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline');
  await expect(page.getByText('Kept in this browser')).toBeVisible();
  await page.close();
  await context.unroute('**/api/versions/*');
  const next = await context.newPage();
  await next.goto(`${base}/brief`);
  await expect(next.getByText(/was not saved before its tab was closed/)).toBeVisible();
  await expect(next.getByLabel('Strip length')).not.toHaveValue('41');
  await next.getByRole('button', { name: 'Take it in' }).click();
  await expect(next.getByLabel('Strip length')).toHaveValue('41');
  await saved(next);
  await expect(next.getByText(/was not saved before/)).toHaveCount(0);
});

test('earlier saves: who, when and what; compared, named, opened as a new version', async ({ page }) => {
  await newProject(page, 'Looking back', 'plain');
  await type(page, 'Strip length', '61');
  await saved(page);
  await type(page, 'Strip length', '62');
  await saved(page);
  await page.getByRole('button', { name: 'Earlier saves' }).click();
  const drawer = page.getByRole('dialog');
  await expect(drawer.locator('.save')).toHaveCount(2);
  await expect(drawer.locator('.save').first()).toContainText(/Pilot.*Site: strip length .* → 61/);
  await drawer
    .getByLabel(/^Name of the save/)
    .first()
    .fill('as flown');
  await drawer
    .getByLabel(/^Name of the save/)
    .first()
    .press('Enter');
  await expect(drawer.getByLabel(/^Name of the save/).first()).toHaveValue('as flown');
  await drawer.getByRole('button', { name: 'Compare' }).first().click();
  await expect(page).toHaveURL(/refine(\?.*)?$/);
  await expect(page.getByText(/Bittern 1 against save of/)).toBeVisible();
  await page.getByRole('button', { name: 'Earlier saves' }).click();
  await drawer.getByRole('button', { name: 'Open as a new version' }).first().click();
  await expect(page).toHaveURL(/brief(\?.*)?$/);
  await expect(page.getByLabel('Strip length')).toHaveValue('61');
});

test('the file of a logger is kept as it came, and can be had again', async ({ page }) => {
  await newProject(page, 'Original', 'bittern');
  await station(page, 'Test');
  await page.getByRole('button', { name: 'Plan a flight' }).click();
  await page.getByRole('combobox', { name: 'State', exact: true }).selectOption('ferry');
  await page.getByRole('button', { name: 'It was flown: record it' }).click();
  const rows = Array.from({ length: 40 }, (_, i) => `${i},${9 * i},0,20,9,16,${4 + 0.1 * i}`);
  const bytes = Buffer.from(`time,east,north,height,ground speed,volts,amps\r\n${rows.join('\r\n')}\r\n`);
  await page
    .getByLabel('Log file')
    .setInputFiles({ name: 'höhe 1.csv', mimeType: 'text/csv', buffer: bytes });
  await page.getByRole('button', { name: 'Take it so' }).click();
  const link = page.getByRole('link', { name: /höhe 1\.csv/ });
  await expect(link).toBeVisible();
  const back = await page.request.get((await link.getAttribute('href'))!);
  expect((await back.body()).equals(bytes)).toBe(true);
});

const web = dirname(dirname(fileURLToPath(import.meta.url)));

function serve(port: number): ChildProcess {
  return spawn(process.execPath, [join(web, 'serve.mjs')], {
    cwd: web,
    stdio: 'ignore',
    detached: true,
    env: { ...process.env, PORT: String(port), NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1' },
  });
}

async function ready(port: number): Promise<void> {
  await expect
    .poll(
      () =>
        fetch(`http://127.0.0.1:${port}/api/health`).then(
          (r) => r.ok,
          () => false,
        ),
      { timeout: 30_000 },
    )
    .toBe(true);
}

const freePort = () =>
  new Promise<number>((resolve) => {
    const s = net.createServer();
    s.listen(0, '127.0.0.1', () => {
      const { port } = s.address() as net.AddressInfo;
      s.close(() => resolve(port));
    });
  });

test('a server killed while typing loses nothing: the browser keeps it and saves when the server is back', async ({
  page,
  baseURL,
}) => {
  const address = (await newProject(page, 'Killed', 'bittern')).replace(baseURL!, '');
  const port = await freePort();
  let server = serve(port);
  await ready(port);
  const here = `http://127.0.0.1:${port}${address}/brief`;
  await page.goto(here);
  await expect(page.getByLabel('Strip length')).toHaveValue('20');
  await type(page, 'Strip length', '31');
  process.kill(-server.pid!, 'SIGKILL');
  await type(page, 'Elevation', '77');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline', { timeout: 20_000 });
  server = serve(port);
  await ready(port);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Strip length')).toHaveValue('31');
  await expect(page.getByLabel('Elevation')).toHaveValue('77');
  // the tab closed before the server is back: the draft is there when it is opened again
  process.kill(-server.pid!, 'SIGKILL');
  await type(page, 'Elevation', '88');
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'offline', { timeout: 20_000 });
  await page.evaluate(() => {
    window.onbeforeunload = null;
  });
  page.on('dialog', (d) => void d.accept());
  await page.goto('about:blank');
  server = serve(port);
  await ready(port);
  await page.goto(here);
  await expect(page.getByLabel('Elevation')).toHaveValue('88');
  await saved(page);
  await expect.poll(() => stripNumber(page, 'mass@tubes-8')).toBeGreaterThan(2);
  process.kill(-server.pid!, 'SIGKILL');
});
