import { expect, test } from '@playwright/test';
import { newProject, saved, station, type } from './helpers';

test('choosing a section: shelf, weights, comparison, pressure, templates', async ({ page }) => {
  test.setTimeout(240_000);
  await newProject(page, 'Sections walk', 'bittern');
  await station(page, 'Sections');
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  // the shelf fills; it can be stopped and taken up again
  await expect(page.getByText(/leads with/)).toBeVisible({ timeout: 120_000 });
  await expect(row('NACA 2412').first().locator('strong')).not.toHaveText('–', { timeout: 120_000 });
  await expect(page.getByRole('progressbar')).toHaveCount(0, { timeout: 150_000 });
  // weights choose: only spar depth and least moment bring a thick, then a symmetric section to the top
  for (const w of [
    'Largest lift',
    'Lift to drag',
    'Low-drag range',
    'Small moment',
    'Flat bottom',
    'Forgives building',
  ])
    await type(page, w, '0');
  await expect(page.getByText(/NACA 2415 leads|NACA 4415 leads/)).toBeVisible();
  await type(page, 'Spar depth', '0');
  await type(page, 'Flat bottom', '5');
  await expect(page.getByText(/leads with 1/)).toBeVisible();
  await type(page, 'Small moment', '11');
  await expect(page.locator('.qf.bad .err')).toContainText('10');
  await page.getByLabel('Small moment', { exact: true }).press('Escape');
  // compare
  await page.getByLabel('Compare NACA 6409').check();
  await page.locator('.mantine-SegmentedControl-root').getByText('Compare').click();
  await expect(page.getByRole('img', { name: /Outlines of NACA 4412, NACA 6409/ })).toBeVisible();
  await page.getByLabel('Measured polar file').setInputFiles({
    name: 'tunnel.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('alpha,cl,cd\n0,0.41,0.012\n4,0.86,0.014\n'),
  });
  await expect(page.getByText('● tunnel, 2 points')).toBeVisible();
  await page
    .getByLabel('Measured polar file')
    .setInputFiles({ name: 'wrong.csv', mimeType: 'text/csv', buffer: Buffer.from('speed,rpm\n1,2\n') });
  await expect(page.getByRole('alert').filter({ hasText: 'Nothing was taken' })).toBeVisible();
  // pressure
  await page.locator('.mantine-SegmentedControl-root').getByText('Pressure').click();
  await expect(page.getByText(/Upper face: laminar/)).toBeVisible({ timeout: 90_000 });
  await page.locator('#pp-angle').fill('12');
  await expect(page.getByRole('heading', { name: /At 8/ })).toBeVisible();
  // templates
  await page.locator('.mantine-SegmentedControl-root').getByText('Templates').click();
  await page.getByLabel('Cut out').selectOption({ label: 'All ribs of the wing' });
  await expect(page.getByText(/9 pieces on/)).toBeVisible();
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF, all sheets' }).click(),
  ]);
  expect(pdf.suggestedFilename()).toMatch(/\.pdf$/);
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'DXF' }).click(),
  ]);
  expect(dxf.suggestedFilename()).toMatch(/\.dxf$/);
  await saved(page);
});

test('a folded card and an indoor film section, entered as a newcomer would', async ({ page }) => {
  test.setTimeout(240_000);
  await newProject(page, 'Card and film', 'bittern');
  await station(page, 'Sections');
  await page.getByRole('button', { name: 'Add a section' }).click();
  await page.getByLabel('Shape', { exact: true }).selectOption('folded');
  await page.getByLabel('Folded sheet').fill('0 0\n0.3 0.05\n0.2 0.01\n1 0');
  await page.getByRole('button', { name: 'Use', exact: true }).click();
  await expect(page.getByText(/ascending order; the section stays/)).toBeVisible();
  await page.getByLabel('Folded sheet').fill('0 0\n0.25 0.05\n0.8 0.01\n1 0.01');
  await page.getByRole('button', { name: 'Use', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Folded sheet' })).toBeVisible();
  await page.locator('.mantine-SegmentedControl-root').getByText('Pressure').click();
  await expect(page.getByText(/judged from theory and tests on plates/)).toBeVisible({ timeout: 90_000 });
  await page.getByRole('button', { name: 'Add a section' }).click();
  await page.getByLabel('Shape', { exact: true }).selectOption('film');
  await type(page, 'Camber', '7 %');
  await page.locator('.mantine-SegmentedControl-root').getByText('Shelf').click();
  await expect(page.getByRole('row').filter({ hasText: 'Film on ribs · in the design' })).toContainText(
    'rough',
    { timeout: 120_000 },
  );
  await saved(page);
});
