/**
 * Shape and balance as a newcomer meets them: another layout, handles, the stall in words, the card, growth, drawings, a
 * glider, wrong input.
 */
import { expect, test } from '@playwright/test';
import { newProject, station, stripNumber, type } from './helpers';

test('another layout is drawn, balanced and undone in one step', async ({ page }) => {
  test.setTimeout(240_000);
  await newProject(page, 'Layouts', 'plain');
  await station(page, 'Shape');
  await expect(
    page
      .getByRole('region', { name: 'The stall' })
      .or(page.locator('section[aria-label="The stall"]'))
      .first(),
  ).toContainText(/lets go first/, { timeout: 60_000 });
  await page.getByRole('button', { name: /Another layout/ }).click();
  await page.getByRole('button', { name: 'Draw it: Canard' }).click();
  await expect(page.getByLabel('Part', { exact: true })).toContainText('Foreplane', { timeout: 60_000 });
  await expect(page.locator('section[aria-label="The stall"]')).toContainText(/foreplane goes .* earlier/, {
    timeout: 120_000,
  });
  await expect.poll(() => stripNumber(page, 'staticMargin@loaded'), { timeout: 60_000 }).toBeGreaterThan(8);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Part', { exact: true })).not.toContainText('Foreplane');
});

test('handles and table are one; the numbers follow', async ({ page }) => {
  test.setTimeout(120_000);
  await newProject(page, 'Handles', 'bittern');
  await station(page, 'Shape');
  const handle = page.getByRole('slider', { name: /Wing, station 2, trailing edge/ });
  await expect(handle).toBeVisible();
  const area = await page.getByRole('button', { name: /Wing area/ }).innerText();
  await handle.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('textbox', { name: 'Chord, row 2', exact: true }).first()).toHaveValue('280');
  await expect.poll(() => page.getByRole('button', { name: /Wing area/ }).innerText()).not.toBe(area);
  // dragged by mouse, too
  const box = (await page.getByRole('slider', { name: /Wing, station 3, leading edge/ }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 20, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('textbox', { name: 'Back, row 3', exact: true })).not.toHaveValue('30');
  // a wrong twist says why and keeps the text
  await type(page, 'Twist, row 3', '99');
  await expect(page.getByText(/at most/).first()).toBeVisible();
  await page.keyboard.press('Escape');
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF 1:1' }).click(),
  ]);
  expect(pdf.suggestedFilename()).toMatch(/three-views\.pdf$/);
  const [stl] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'STL', exact: true }).click(),
  ]);
  expect(stl.suggestedFilename()).toMatch(/\.stl$/);
});

test('balance: the card in words, growth, states, and an item dragged by keys', async ({ page }) => {
  test.setTimeout(180_000);
  await newProject(page, 'Balance', 'bittern');
  await station(page, 'Balance');
  const margin = await stripNumber(page, 'staticMargin@tubes-8');
  const battery = page.getByRole('slider', { name: /Battery/ }).first();
  await battery.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowLeft');
  await expect.poll(() => stripNumber(page, 'staticMargin@tubes-8')).toBeGreaterThan(margin);
  await expect(page.getByText('Every state lies inside its limits.')).toBeVisible();
  const tabs = page.locator('.mantine-SegmentedControl-root').first();
  await tabs.getByText('Stability', { exact: true }).click();
  await expect(page.getByText(/Dutch roll/).first()).toBeVisible();
  await expect(page.getByText(/wag of the tail|tail wags/i).first()).toBeVisible();
  await tabs.getByText('States', { exact: true }).click();
  await page.getByRole('button', { name: 'Tow something' }).click();
  await expect(page.getByText(/On the line: pulls/)).toBeVisible({ timeout: 20_000 });
  await tabs.getByText('Growth', { exact: true }).click();
  await page.getByRole('button', { name: 'Let it grow' }).click();
  await expect(page.getByText(/First to break: at/)).toBeVisible({ timeout: 60_000 });
  await tabs.getByText('What if', { exact: true }).click();
  await type(page, 'weighs', '200 g');
  await expect(page.getByRole('button', { name: /Plan it with 200/ })).toBeVisible();
  await tabs.getByText('Ground, fit, built', { exact: true }).click();
  await expect(page.getByText(/propeller clears the ground/)).toBeVisible();
});

test('a glider and a lift-and-cruise have their own numbers', async ({ page }) => {
  test.setTimeout(240_000);
  await page.goto('/');
  await page.getByRole('link', { name: /Wafer/ }).first().click();
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 120_000 });
  await station(page, 'Power');
  await expect(page.getByText(/this is a glider/)).toBeVisible();
  await station(page, 'Balance');
  await page
    .locator('.mantine-SegmentedControl-root')
    .first()
    .getByText('Ground, fit, built', { exact: true })
    .click();
  await expect(page.getByText(/Hands off it rolls/)).toBeVisible({ timeout: 30_000 });
  await page.goto('/');
  await page.getByRole('link', { name: /Crane/ }).first().click();
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 120_000 });
  await station(page, 'Balance');
  await page
    .locator('.mantine-SegmentedControl-root')
    .first()
    .getByText('Ground, fit, built', { exact: true })
    .click();
  await expect(page.getByText(/Thrust to weight/)).toBeVisible({ timeout: 30_000 });
});
