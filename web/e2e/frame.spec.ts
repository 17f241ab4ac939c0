/** The frame that all stations share: the address keeps what is in view, the strip is chosen and put in order, names fit. */
import { expect, test } from '@playwright/test';
import { newProject, saved, station } from './helpers';

test('state, tab and compared version live in the address; back and reload return to them', async ({
  page,
}) => {
  await page.goto('/projects/1/versions/5/balance');
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await page.getByLabel('State', { exact: true }).selectOption('ferry');
  await expect(page).toHaveURL(/balance\?state=ferry$/);
  await page.getByText('Stability', { exact: true }).click();
  await expect(page).toHaveURL(/balance\?tab=stability&state=ferry$/);
  await station(page, 'Flight');
  await expect(page).toHaveURL(/flight\?state=ferry$/);
  await expect(page.getByLabel('State', { exact: true })).toHaveValue('ferry');
  // the tab that was left is found again
  await station(page, 'Balance');
  await expect(page.getByRole('radio', { name: 'Stability' })).toBeChecked();
  await page.goBack();
  await page.goBack();
  await expect(page.getByRole('radio', { name: 'Stability' })).toBeChecked();
  await page.goBack();
  await expect(page.getByRole('radio', { name: 'Balance', exact: true })).toBeChecked();
  await expect(page.getByLabel('State', { exact: true })).toHaveValue('ferry');
  await page.reload();
  await expect(page.getByLabel('State', { exact: true })).toHaveValue('ferry');
  await page.goto('/projects/1/versions/5/flight?state=nowhere&against=none&tab=nothing');
  await expect(page.getByLabel('State', { exact: true })).not.toHaveValue('nowhere');
  await expect(page.getByRole('combobox', { name: 'Compared with' })).toHaveValue('');
});

test('the numbers of the strip are found by name and put in order; none is cut', async ({ page }) => {
  await newProject(page, 'Strip', 'bittern');
  const cells = page.locator('.strip .cell .label');
  const first = await cells.first().innerText();
  await page.getByRole('button', { name: 'Choose the numbers of the strip' }).click();
  const dialog = page.getByRole('dialog', { name: 'Numbers on the strip' });
  await dialog.getByRole('button', { name: /^Take Lap time/ }).click();
  await dialog.getByRole('combobox', { name: 'A number to add' }).click();
  await expect(page.getByRole('listbox')).toBeVisible();
  const names = await page.getByRole('listbox').getByRole('option').allInnerTexts();
  await dialog.getByRole('combobox', { name: 'A number to add' }).fill('weather');
  await expect(page.getByText('No number by that name.')).toBeVisible();
  await dialog.getByRole('combobox', { name: 'A number to add' }).fill('yaw stiff');
  await page
    .getByRole('listbox')
    .getByRole('option', { name: /Yaw stiffness/ })
    .click();
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(cells.last()).toHaveText(/Yaw stiffness/);
  // taken up, moved down, put down, by keyboard alone
  await dialog
    .getByRole('button', { name: `Move ${first}` })
    .first()
    .focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/was moved over/)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/moved over droppable area mass@/)).toBeAttached();
  await page.keyboard.press('Space');
  await expect(cells.nth(1)).toHaveText(first);
  expect(names.length).toBeGreaterThan(60);
  const cut = await page.evaluate((all) => {
    const label = document.querySelector<HTMLElement>('.strip .cell .label')!;
    return all.filter((name) => {
      label.textContent = name;
      return label.scrollWidth > label.clientWidth || label.getBoundingClientRect().height > 30;
    });
  }, names);
  expect(cut).toEqual([]);
  await page.keyboard.press('Escape');
  await saved(page);
});

test('top line, rail and strip stay while the sheet scrolls; the skip link leads past them; ? shows the keys', async ({
  page,
}) => {
  await page.goto('/projects/1/versions/5/flight');
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
  await page.mouse.wheel(0, 900);
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(100);
  const tops = await page.evaluate(() =>
    ['.topline', '.rail', '.strip'].map((s) => document.querySelector(s)!.getBoundingClientRect().top),
  );
  // at the end of a sheet whose height is no whole pixel the rail ends a share of one early
  expect(tops.map(Math.round)).toEqual([0, 46, 46]);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goto('/projects/1/versions/5/brief');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the station' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('#station')).toBeFocused();
});

for (const [width, height] of [
  [800, 1280],
  [400, 800],
] as const)
  test(`at ${width} by ${height} the frame takes a quarter of the height at most`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await page.goto('/projects/1/versions/5/test');
    await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 30_000 });
    const top = await page.evaluate(() => document.querySelector('#station')!.getBoundingClientRect().top);
    expect(top).toBeLessThanOrEqual(height! / 4);
  });
