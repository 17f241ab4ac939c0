/** Every station draws without errors, in both schemes, and nothing runs off a narrow page. */
import { expect, test } from '@playwright/test';
import { STATIONS } from './helpers';

test('every station, wide and narrow, light and dark', async ({ page }) => {
  test.setTimeout(180_000);
  const problems: string[] = [];
  page.on('console', (m) => {
    if (m.type() === 'error') problems.push(m.text());
  });
  page.on('pageerror', (e) => problems.push(e.message));
  const outside: string[] = [];
  page.on('request', (r) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/.test(r.url())) outside.push(r.url());
  });
  for (const s of STATIONS) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`/projects/1/versions/4/${s}`);
    await expect(page.locator('.strip .value').first()).toContainText(/\d/);
    await expect(page.locator('main h2').first()).toBeVisible();
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
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('button', { name: 'Light or dark' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark');
  expect(problems).toEqual([]);
  expect(outside).toEqual([]);
});

test('charts and bars have names, charts have their table', async ({ page }) => {
  await page.goto('/projects/1/versions/4/power');
  await expect(page.getByRole('img', { name: /thrust and drag/ })).toBeVisible();
  await page.getByText('Numbers', { exact: true }).first().click();
  await expect(page.getByRole('cell', { name: 'thrust, full throttle' }).first()).toBeVisible();
  await expect(page.getByRole('img', { name: /Static thrust, predicted/ })).toBeVisible();
});

test('an edit reaches the strip within a tenth of a second or so', async ({ page }) => {
  await page.goto('/projects/1/versions/4/power');
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
  console.log(`edit to strip, median ${times[2].toFixed(0)} ms`);
});
