/** Every station draws without errors, keeps the rules of access on either paper, and nothing runs off a narrow page. */
import axe from 'axe-core';
import { expect, test, type Page } from '@playwright/test';
import { STATIONS } from './helpers';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
const TABS = [
  'trade?tab=tables',
  'balance?tab=ledger',
  'power?tab=bench',
  'flight?tab=mission',
  'flight?tab=air',
];
const EVERY_TAB = [
  ...['ledger', 'stability', 'states', 'growth', 'whatif', 'checks'].map((t) => `balance?tab=${t}`),
  ...['choose', 'bench', 'energy', 'supply', 'hover', 'rubber', 'glide', 'sun'].map((t) => `power?tab=${t}`),
  ...['compare', 'flow', 'cut'].map((t) => `sections?tab=${t}`),
  ...['mission', 'air', 'figures'].map((t) => `flight?tab=${t}`),
  ...['tables', 'models'].map((t) => `trade?tab=${t}`),
  ...['rules', 'field'].map((t) => `score?tab=${t}`),
  ...['views', 'three'].map((t) => `shape?tab=${t}`),
];
/** `npm run access` tries all of them. */
const ALL = process.env.ACCESS === 'all';
const DEMOS = [
  '/projects/1/versions/5',
  ...(ALL ? ['/projects/2/versions/6', '/projects/3/versions/7', '/projects/4/versions/8'] : []),
];
const PLACES = DEMOS.flatMap((demo) =>
  [...STATIONS, ...(ALL ? EVERY_TAB : TABS)].map((place) => `${demo}/${place}`),
);

/** What breaks the rules of WCAG 2.2 AA and good practice on a page; on the other paper only colours differ. */
async function brokenRules(page: Page, colorScheme: 'light' | 'dark'): Promise<string[]> {
  const runOnly: axe.RunOnly =
    colorScheme === 'light' ? { type: 'tag', values: TAGS } : { type: 'rule', values: ['color-contrast'] };
  const found = await page.evaluate(
    (only) => (window as unknown as { axe: typeof axe }).axe.run(document, { runOnly: only }),
    runOnly,
  );
  return found.violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
}

test('every station, wide and narrow, light and dark, keeps the rules', async ({ page }) => {
  test.setTimeout(ALL ? 2_400_000 : 340_000);
  const problems: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error') problems.push(m.text());
  });
  page.on('pageerror', (e) => problems.push(e.message));
  const outside: string[] = [];
  page.on('request', (r) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(r.url())) outside.push(r.url());
  });
  for (const s of PLACES) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(s);
    await expect(page.locator('.strip .value').first()).toContainText(/\d/);
    // every place has a heading or says in a sentence why it has nothing yet
    await expect(page.locator('main :is(h2, p)').first()).toBeVisible();
    await page.evaluate(axe.source);
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
      await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', colorScheme);
      problems.push(...(await brokenRules(page, colorScheme)).map((p) => `${s}, ${colorScheme}: ${p}`));
    }
    for (const width of [1280, 400]) {
      await page.setViewportSize({ width, height: 800 });
      await expect
        .poll(
          () =>
            page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
          { message: `${s} at ${width}` },
        )
        .toBeLessThanOrEqual(1);
    }
  }
  // chosen against the system's wish
  await page.emulateMedia({ colorScheme: 'light' });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: /units, paper/ }).click();
  await page.getByRole('radiogroup', { name: 'Light or dark' }).getByText('Dark').click();
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark');
  expect(problems).toEqual([]);
  expect(outside).toEqual([]);
});

test('charts and bars have names, charts have their table', async ({ page }) => {
  await page.goto('/projects/1/versions/5/power');
  await expect(page.getByRole('img', { name: /thrust and drag/ })).toBeVisible();
  await page.getByText('Numbers', { exact: true }).first().click();
  await expect(page.getByRole('cell', { name: 'thrust, full throttle' }).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /Static thrust, predicted/ })).toBeVisible();
});

test('an edit reaches the strip within a tenth of a second or so', async ({ page }) => {
  await page.goto('/projects/1/versions/5/power');
  await expect(page.locator('.strip .value').first()).toContainText(/\d/);
  await page.getByLabel('Part of the drive').selectOption('motor');
  const times: number[] = [];
  for (const kv of ['600', '610', '620', '630', '620']) {
    await page.getByLabel('Kv', { exact: true }).fill(kv);
    const t = await page.evaluate(
      () =>
        new Promise<number>((done) => {
          const cell = document.querySelector('[data-watch="groundRun@tubes-8"] .value')!;
          const was = cell.textContent;
          const t0 = performance.now();
          const seen = new MutationObserver(() => {
            if (cell.textContent !== was) {
              seen.disconnect();
              done(performance.now() - t0);
            }
          });
          seen.observe(cell, { childList: true, characterData: true, subtree: true });
          (document.activeElement as HTMLElement).blur();
          setTimeout(() => done(9999), 8000);
        }),
    );
    times.push(t);
  }
  // a bound against freezing only: speed itself is judged by the bench
  expect(times.sort((a, b) => a - b)[2]).toBeLessThan(1500);
  console.log(`edit to strip, median ${times[2]!.toFixed(0)} ms`);
});
