/** An aircraft without a wing: made from nothing, told about its rotors, and of nothing that it has not. */
import { expect, test } from '@playwright/test';
import { newProject, STATIONS, station, stripNumber, type } from './helpers';

/** Words of wings, runways and margins. */
const WINGED =
  /\bwing\b|\bstall|runway|\bstrip length|static margin|mean chord|neutral point|lap speed|ground run|tailplane|aileron/i;

test('a multirotor of one’s own: no station speaks of what it has not', async ({ page }) => {
  test.setTimeout(120_000);
  await newProject(page, 'Four rotors', 'multirotor-4');
  expect(await stripNumber(page, 'hoverTime@flying')).toBeGreaterThan(5);
  for (const name of STATIONS.filter((s) => s !== 'sections')) {
    await station(page, name);
    await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 20_000 });
    await page.waitForTimeout(400);
    const text = await page.locator('main').innerText();
    const found = WINGED.exec(text);
    expect(found && text.slice(found.index - 60, found.index + 60), name).toBeNull();
  }
});

test('shares, a CG beside the middle, and the wind it holds', async ({ page }) => {
  const base = await newProject(page, 'Shares', 'multirotor-4');
  await page.goto(`${base}/balance`);
  await expect(page.getByRole('img', { name: /4 rotors, CG among the rotors/ })).toBeVisible({
    timeout: 20_000,
  });
  await page.goto(`${base}/flight`);
  await expect.poll(() => stripNumber(page, 'windMargin@flying'), { timeout: 20_000 }).toBeGreaterThan(5);
  const before = await stripNumber(page, 'windMargin@flying');
  await type(page, 'Wind', '9');
  await expect
    .poll(() => stripNumber(page, 'windMargin@flying'), { timeout: 20_000 })
    .toBeLessThan(before - 5);
  await type(page, 'Wind', '24');
  await expect(page.getByText(/it will be carried away/)).toBeVisible({ timeout: 20_000 });
});

test('a glider of one’s own is thrown; two shafts that do not hold the CG are told of', async ({ page }) => {
  test.setTimeout(120_000);
  const glider = await newProject(page, 'Chuck', 'hand-glider');
  await page.goto(`${glider}/flight`);
  const away = page.getByRole('region', { name: 'How it gets away' });
  await expect(away).toContainText(/8\.5 ± /, { timeout: 30_000 });
  await type(page, 'Throw, over the ground', '9');
  await expect(away).toContainText(/9\.5 ± /, { timeout: 20_000 });
  await type(page, 'Throw, over the ground', '2');
  await expect(page.getByText(/is let go at .* times its stall speed/)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText(/A throw of 8 m\/s allows|A throw of [\d.]+ m\/s allows/)).toBeVisible();

  const twin = await newProject(page, 'Twin', 'tilting-twin');
  await page.goto(`${twin}/shape`);
  const places = page.getByRole('table', { name: 'Places of the thrusters' });
  await expect(async () => {
    await page.getByLabel('Part', { exact: true }).selectOption('body');
    await expect(places).toBeVisible({ timeout: 2000 });
  }).toPass({ timeout: 20_000 });
  for (const row of [1, 2]) {
    const x = places.getByLabel(`x, row ${row}`, { exact: true });
    await x.fill(String(Number(await x.inputValue()) - 36));
    await x.press('Enter');
  }
  await page.goto(`${twin}/balance`);
  await expect(page.getByText(/CG lies 36 mm behind the line of the two shafts/)).toBeVisible({
    timeout: 30_000,
  });
});

test('a glider gets a motor with a button, and its mass with it', async ({ page }) => {
  const glider = await newProject(page, 'Motor for a glider', 'slope-glider');
  const before = await stripNumber(page, 'mass@flying');
  await page.goto(`${glider}/power`);
  await page.getByRole('button', { name: 'Fit an electric motor' }).click();
  await expect(page.getByText('The drive as it is wired')).toBeVisible({ timeout: 30_000 });
  await expect.poll(() => stripNumber(page, 'mass@flying'), { timeout: 20_000 }).toBeGreaterThan(before);
});
