/** States that carry what differs: flaps down, the envelope, a shaft moved on the plan, a rubber model of one's own. */
import { expect, test } from '@playwright/test';
import { newProject, saved, station, strip, stripNumber, type } from './helpers';

test('flaps lower the stall of their state alone, and are told where they were taken from', async ({
  page,
}) => {
  await newProject(page, 'Drooped', 'bittern');
  await station(page, 'Balance');
  await page.locator('.mantine-SegmentedControl-root').first().getByText('States', { exact: true }).click();
  const stall = await stripNumber(page, 'stallSpeed@tubes-8');
  await page.getByText('Flaps, incidence, gear, parts flown').click();
  await type(page, 'Ailerons, both down', '10');
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 });
  await expect.poll(() => stripNumber(page, 'stallSpeed@tubes-8'), { timeout: 60_000 }).toBeLessThan(stall);
  await type(page, 'Ailerons, both down', '60');
  await expect(page.locator('.err').first()).toContainText('40');
  await page.getByLabel('Ailerons, both down').press('Escape');
  await page.getByLabel('Pack', { exact: true }).selectOption({ label: 'Pack B 3300' });
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Ailerons, both down')).toHaveValue('10');
  await expect(page.getByLabel('Pack', { exact: true })).toHaveValue('pack-b');
  await type(page, 'Ailerons, both down', '');
  await page.getByLabel('Pack', { exact: true }).selectOption('');
  await expect.poll(() => stripNumber(page, 'stallSpeed@tubes-8'), { timeout: 60_000 }).toBe(stall);
});

test('one envelope: climb, power, turns, drag; what a rubber model has not is not on it', async ({
  page,
}) => {
  await page.goto('/');
  await newProject(page, 'Envelope', 'bittern');
  await station(page, 'Flight');
  const shows = (name: string) => page.getByLabel('Envelope shows').locator('label', { hasText: name });
  await expect(page.getByRole('img', { name: /Climb and sink against airspeed/ })).toBeVisible();
  await shows('Turns and gusts').click();
  await expect(page.getByRole('img', { name: /Gust from behind that it stands/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Stall in a level turn/ })).toBeVisible();
  await shows('Power').click();
  await expect(page.getByText('Longest in the air, on the wing')).toBeVisible();
  await newProject(page, 'Strip of rubber', 'rubber');
  expect(await stripNumber(page, 'flightTime@flying')).toBeGreaterThan(30);
  await expect(page.getByLabel('Strip length')).toHaveCount(0);
  await station(page, 'Flight');
  await expect(shows('Turns and gusts')).toBeVisible();
  await expect(shows('Power')).toHaveCount(0);
  await expect(page.getByText('Lap airspeed')).toHaveCount(0);
  await station(page, 'Power');
  await expect(page.getByText('Turns at launch')).toBeVisible();
  await expect(page.getByText('Hover', { exact: true })).toHaveCount(0);
});

test('a tilting shaft is moved on the plan by keys, its twin with it', async ({ page }) => {
  await newProject(page, 'Twin', 'tilting-twin');
  await station(page, 'Shape');
  const shafts = page.getByRole('slider', { name: /tilts, at/ });
  await expect(shafts).toHaveCount(2);
  const at = async (i: number) => Number(await shafts.nth(i).getAttribute('aria-valuenow'));
  const [a, b] = [await at(0), await at(1)];
  await shafts.first().focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect.poll(() => at(0)).toBe(a - 10);
  expect(await at(1)).toBe(b - 10);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => at(0)).toBe(a);
  const tilts = page.getByRole('slider', { name: /tilts up to/ });
  const before = Number(await tilts.first().getAttribute('aria-valuenow'));
  await tilts.first().press('Shift+ArrowDown');
  await expect(tilts.nth(1)).toHaveAttribute('aria-valuenow', String(before + 5));
  await expect(strip(page, 'mass@cruise')).toBeVisible();
});
