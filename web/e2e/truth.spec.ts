/**
 * What stands on screens between the numbers: nothing said before it is computed, parts that are linked, states judged by how
 * they leave.
 */
import { expect, test } from '@playwright/test';
import { STATIONS, newProject, saved, station, strip, stripNumber, type } from './helpers';

test('before the first ledger no station is fine, and none says that all is well', async ({ page }) => {
  const base = await newProject(page, 'First moments', 'plain');
  // hold the core's worker back: what stands on screen then is what stands for those seconds
  await page.route('**/*worker*', async (route) => {
    await new Promise((r) => setTimeout(r, 2500));
    await route.continue().catch(() => undefined);
  });
  await page.goto(`${base}/balance`);
  const rail = page.getByRole('navigation', { name: 'Stations' });
  await expect(rail.getByTitle('computing')).toHaveCount(STATIONS.length);
  await expect(rail.getByTitle('fine')).toHaveCount(0);
  await expect(page.getByText('Every state lies inside its limits.')).toHaveCount(0);
  await page.unroute('**/*worker*');
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await expect(rail.getByTitle('computing')).toHaveCount(0);
  await station(page, 'Brief');
  await expect(
    page.getByText('No requirement is set: nothing is asked of the prediction yet.'),
  ).toBeVisible();
  await expect(rail.getByRole('link', { name: /Brief/ }).getByTitle('not begun')).toBeVisible();
});

test('another spar, six cells and no motor are weighed', async ({ page }) => {
  const base = await newProject(page, 'Weighing', 'bittern');
  const mass = () => stripNumber(page, 'mass@tubes-8');
  const was = await mass();
  await page.goto(`${base}/structure?tab=members`);
  await type(page, 'Diameter, at its root', '16');
  await expect.poll(mass, { timeout: 15_000 }).toBeGreaterThan(was + 0.02);
  const thicker = await mass();
  await page.goto(`${base}/power`);
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await page.getByLabel('Part of the drive').selectOption('pack');
  await type(page, 'Cells in series', '6');
  await expect.poll(mass, { timeout: 15_000 }).toBeGreaterThan(thicker + 0.08);
  await saved(page);
});

test('what is typed and not left yet outlives a reload', async ({ page }) => {
  const base = await newProject(page, 'Half typed', 'plain');
  await page.goto(`${base}/structure?tab=members`);
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await page.getByLabel('Diameter, at its root').fill('14.5');
  // no Enter, no Tab: the page goes
  await page.reload();
  await expect(page.getByLabel('Diameter, at its root')).toHaveValue('14.5', { timeout: 20_000 });
  await saved(page);
});

test('a state that others name is taken away with them, and comes back in one step', async ({ page }) => {
  const base = await newProject(page, 'States', 'bittern');
  await page.goto(`${base}/balance`);
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await page.getByText('Masses', { exact: true }).click();
  await page.getByText(/^\d+ states$/).click();
  const table = page.getByRole('table', { name: 'States' });
  const rows = await table.locator('tbody tr').count();
  const eight = table.locator('tbody tr').filter({ has: page.locator('input[value="8 tubes"]') });
  await eight.getByRole('button', { name: /Remove row/ }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('7 numbers of the strip');
  await expect(dialog).toContainText('They will name “7 tubes” instead.');
  await dialog.getByRole('button', { name: 'Remove it' }).click();
  await expect(table.locator('tbody tr')).toHaveCount(rows - 1);
  await expect(strip(page, 'mass@tubes-7')).toContainText(/\d/);
  // every station still draws
  for (const name of ['Score', 'Flight', 'Test', 'Power']) {
    await station(page, name);
    await expect(page.locator('main h2').first()).toBeVisible();
    await expect(page.getByText('This screen could not be drawn')).toHaveCount(0);
  }
  await page.keyboard.press('Control+z');
  await expect(strip(page, 'mass@tubes-8')).toContainText(/\d/);
  await saved(page);
});

test('thrown by hand it asks for no strip; the card’s list is made of what is aboard', async ({ page }) => {
  const base = await newProject(page, 'Ways', 'bittern');
  await page.goto(`${base}/balance`);
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await expect(strip(page, 'groundRun@tubes-8')).toContainText(/\d/);
  await page.getByText('States', { exact: true }).first().click();
  await expect(page.getByRole('note', { name: 'Cautions' })).toContainText(
    'Dropping and lowering are regulated',
  );
  await page.getByLabel('Leaves by').selectOption('hand');
  await expect(strip(page, 'groundRun@tubes-8')).toHaveText(/–/, { timeout: 20_000 });
  await station(page, 'Test');
  await page.getByRole('button', { name: 'Plan a flight' }).click();
  await expect(page.getByText('Thrower clear of blades and tail; nobody ahead')).toBeVisible();
  await expect(page.getByText('Sample tube: latched, cannot shift')).toBeVisible();
  await expect(page.getByRole('note', { name: 'Cautions' })).toContainText('fingers behind the blades');
  await saved(page);
});

test('fields take what builders write, and ask once what a comma means', async ({ page }) => {
  const base = await newProject(page, 'Typing', 'plain');
  await page.goto(`${base}/structure?tab=members`);
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await type(page, 'Diameter, at its root', '5/8 in');
  await expect(page.getByLabel('Diameter, at its root')).toHaveValue('15.875');
  await type(page, 'Wall, at its root', '40 thou');
  await expect(page.getByLabel('Wall, at its root')).toHaveValue('1.016');
  await page.goto(`${base}/brief`);
  await type(page, 'Time window', '8:30');
  await expect(page.getByLabel('Time window')).toHaveValue('510');
  await type(page, 'Straight', '1,234');
  await page.getByRole('button', { name: '1234 m', exact: true }).click();
  await expect(page.getByLabel('Straight', { exact: true })).toHaveValue('1234');
  await type(page, 'Straight', '1,500');
  await expect(page.getByLabel('Straight', { exact: true })).toHaveValue('1500');
  await saved(page);
});
