/** The walk of a new user: the scored Bittern, the demo flight recorded, version 2 made and compared. */
import { expect, test } from '@playwright/test';
import { saved, station, strip, stripNumber, type } from './helpers';

test('from the brief to the next version', async ({ page }) => {
  test.setTimeout(180_000);
  const problems: string[] = [];
  page.on('pageerror', (e) => problems.push(e.message));
  await page.goto('/');
  await page
    .getByRole('link', { name: /Fenland Relay/ })
    .first()
    .click();

  // brief: what is asked, and what the prediction says to it
  await expect(page.getByRole('table', { name: 'Requirements' })).toBeVisible();
  await expect(page.getByLabel('missed').first()).toBeVisible({ timeout: 20_000 });
  const score = await stripNumber(page, 'score@tubes-8');
  await page.getByLabel('Task 3 formula').fill('80 * energyLeft');
  await expect.poll(() => stripNumber(page, 'score@tubes-8')).toBeGreaterThan(score);
  await page.getByLabel('Task 3 formula').fill('60 * energyLeft');

  // shape: a sum in a field, live
  await station(page, 'Shape');
  await expect(page.getByRole('group', { name: /Plan view/ })).toBeVisible();
  await type(page, 'Root, x', '2*6 in');
  await expect(page.getByLabel('Root, x')).toHaveValue('304.8');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Root, x')).toHaveValue('300');

  // balance: the finding and its button
  await station(page, 'Balance');
  await expect(page.getByText(/tail-heavy/).first()).toBeVisible({ timeout: 20_000 });
  const margin = await stripNumber(page, 'staticMargin@tubes-8');
  await page
    .getByRole('button', { name: /Move the battery .* forward/ })
    .first()
    .click();
  await expect.poll(() => stripNumber(page, 'staticMargin@tubes-8')).toBeGreaterThan(margin);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => stripNumber(page, 'staticMargin@tubes-8')).toBeCloseTo(margin, 1);

  // any number says why
  await strip(page, 'stallSpeed@tubes-8').click();
  await expect(page.getByRole('dialog')).toContainText('Anderson');
  await expect(page.getByRole('dialog')).toContainText('largest lift coefficient');
  await page.keyboard.press('Escape');

  await station(page, 'Structure');
  await expect(page.getByText(/This wing breaks at \d\.\d g/).first()).toBeVisible();
  await station(page, 'Score');
  await expect(page.getByRole('button', { name: /◆ best/ })).toContainText(/tubes/);

  // test: the card is past the stop line until a reason is written
  await station(page, 'Test');
  await expect(page.getByText('Stop line', { exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'It was flown: record it' })).toBeDisabled();
  await page
    .getByLabel('Reason to fly past the stop line')
    .fill('Gentle laps only, bank under 30 degrees, over water');
  await page.getByLabel('Reason to fly past the stop line').press('Enter');
  for (const box of await page.getByRole('checkbox').all()) await box.check();
  await page.getByRole('button', { name: 'Sign the list' }).click();
  await expect(page.getByText(/Signed by/)).toBeVisible();
  await page.getByRole('button', { name: 'It was flown: record it' }).click();
  await type(page, 'CG flown, from the nose', '406');
  await page.getByRole('button', { name: 'tail-heavy', exact: true }).click();
  await page.getByRole('button', { name: 'Read the simulated logger' }).click();
  await expect(page.getByText(/simulated logger, \d+ rows/)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText('What it measured')).toBeVisible();
  await expect(page.getByText(/6 laps: from passing/)).toBeVisible();
  await saved(page);

  // refine: the model learns, the band narrows, advice is computed
  await station(page, 'Refine');
  const drag = page.locator('[data-factor="dragArea"] td').nth(2);
  await expect(drag).toContainText('1.00 ± 0.15');
  await page.getByRole('button', { name: /Update from \d+ tests/ }).click();
  await expect(drag).not.toContainText('± 0.15', { timeout: 30_000 });
  const factor = Number(/(\d\.\d+) ±/.exec(await drag.innerText())![1]);
  expect(factor).toBeGreaterThan(1.03);
  await expect(page.getByText(/Because “tail-heavy”/)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('table', { name: 'Effect of the change' })).toBeVisible({ timeout: 20_000 });
  await saved(page);
  await page.getByRole('button', { name: 'Make the next version with this' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Make it' }).click();

  // version 2 against version 1
  await expect(page.getByRole('heading', { name: /Bittern 2 against Bittern 1/ })).toBeVisible({
    timeout: 30_000,
  });
  const table = page.getByRole('table', { name: 'Comparison of versions' });
  await expect(table).toContainText('Static margin', { timeout: 30_000 });
  await expect(table).toContainText(/items › battery/);
  await expect(table).toContainText(/structure › members › spar \(outer/);
  await expect.poll(() => stripNumber(page, 'staticMargin@tubes-8')).toBeGreaterThan(margin);
  expect(await stripNumber(page, 'allowedLoadFactor@tubes-12')).toBeGreaterThan(4);
  expect(problems).toEqual([]);
});

test('a project of one’s own reaches a score', async ({ page }) => {
  const { newProject } = await import('./helpers');
  await newProject(page, 'Own idea', 'plain');
  await type(page, 'Strip length', '60 ft');
  await page.getByRole('button', { name: 'Add a requirement' }).click();
  await type(page, 'At most, row 1', '32 km/h');
  await expect(page.getByLabel('At most, row 1')).toHaveValue('8.888889');
  await station(page, 'Score');
  await expect(page.getByText('◆ best')).toBeVisible();
  expect(await stripNumber(page, 'score@loaded')).toBeGreaterThan(1);
});
