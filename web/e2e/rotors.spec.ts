/** An aircraft without a wing: made from nothing, told about its rotors, and of nothing that it has not. */
import { expect, test } from '@playwright/test';
import { newProject, STATIONS, stripNumber, type } from './helpers';

/** Words of wings, runways and margins. */
const WINGED =
  /\bwing\b|\bstall|runway|\bstrip length|static margin|mean chord|neutral point|lap speed|ground run|tailplane|aileron/i;

test('a multirotor of one’s own: no station speaks of what it has not', async ({ page }) => {
  test.setTimeout(120_000);
  const base = await newProject(page, 'Four rotors', 'multirotor-4');
  expect(await stripNumber(page, 'hoverTime@flying')).toBeGreaterThan(5);
  for (const name of STATIONS.filter((s) => s !== 'sections')) {
    await page.goto(`${base}/${name}`);
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
