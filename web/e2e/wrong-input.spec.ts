/** Bad input gets a sentence where it happened, and the old state stays. */
import { expect, test } from '@playwright/test';
import { newProject, paste, saved, station, stripNumber, type } from './helpers';

test('fields, formulas, sections and logs', async ({ page }) => {
  await newProject(page, 'Wrong input', 'bittern');
  const score = await stripNumber(page, 'score@tubes-8');

  await type(page, 'Straight', '-40');
  await expect(page.locator('.err')).toContainText('Must be above 0 m');
  await expect(page.getByLabel('Straight', { exact: true })).toHaveValue('-40');
  await page.getByLabel('Straight', { exact: true }).press('Escape');
  await expect(page.getByLabel('Straight', { exact: true })).toHaveValue('150');
  await type(page, 'Straight', '3 kg');
  await expect(page.locator('.err')).toContainText('does not fit');
  await page.getByLabel('Straight', { exact: true }).press('Escape');
  await type(page, 'Straight', 'NaN');
  await expect(page.locator('.err')).toBeVisible();
  await page.getByLabel('Straight', { exact: true }).press('Escape');

  await page.getByLabel('Task 2 formula').fill('200 * tubez * laps');
  await expect(page.locator('.err')).toContainText('“tubez” is not a name known here');
  expect(await stripNumber(page, 'score@tubes-8')).toBeCloseTo(score, 0);

  await station(page, 'Sections');
  await page.getByLabel('Shape', { exact: true }).selectOption('points');
  await page.getByLabel(/Paste coordinates/).fill('three points\n1 0\n0 0\n1 0');
  await page.getByRole('button', { name: 'Take pasted' }).click();
  await expect(page.getByText(/holds 3 points/)).toBeVisible();
  await page.getByLabel('Shape', { exact: true }).selectOption('naca4');
  await page.getByLabel('NACA 4-digit', { exact: true }).fill('9');
  await page.getByRole('button', { name: 'Use', exact: true }).click();
  await expect(page.getByText(/four digits; the section stays/)).toBeVisible();
  await page
    .getByLabel('Section file')
    .setInputFiles({ name: 'big.dat', mimeType: 'text/plain', buffer: Buffer.alloc(300_000, 'x') });
  await expect(page.getByText(/larger than 200 kB/)).toBeVisible();

  await station(page, 'Balance');
  await page.locator('.mantine-SegmentedControl-root').first().getByText('Masses', { exact: true }).click();
  await page.getByLabel('Weighed, row 3').fill('a lot');
  await page.getByLabel('Weighed, row 3').press('Enter');
  await expect(page.getByText(/number was expected/)).toBeVisible();
  await page.getByLabel('Weighed, row 3').press('Escape');
  // a block from a spreadsheet with one bad cell changes nothing
  await page.getByLabel('Weighed, row 3').focus();
  await paste(page, '410\t500\nthree\t4\n');
  await expect(page.getByText(/Pasted “three” for Weighed.*Nothing was pasted/)).toBeVisible();
  await expect(page.getByLabel('Weighed, row 3')).toHaveValue('');

  await station(page, 'Test');
  await page.getByRole('button', { name: 'Plan a flight' }).click();
  await page.getByRole('combobox', { name: 'State', exact: true }).selectOption('ferry');
  await page.getByRole('button', { name: 'It was flown: record it' }).click();
  await page.getByLabel('Log file').setInputFiles({
    name: 'odd.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('time,volts\nhere,there\n'),
  });
  await expect(page.getByText('The file was not taken. The file holds no rows of numbers.')).toBeVisible();
  await page
    .getByLabel('Log file')
    .setInputFiles({ name: 'rubbish.csv', mimeType: 'text/csv', buffer: Buffer.alloc(10_000_000, 'q') });
  await expect(page.getByText(/The file was not taken. (No columns|The file holds)/)).toBeVisible();
  await page.getByLabel(/Timed laps/).fill('26.1 twenty');
  await page.getByLabel(/Timed laps/).press('Enter');
  await expect(page.getByText('“twenty” is not a lap time')).toBeVisible();
  await saved(page);
});

test('project files', async ({ page }) => {
  await page.goto('/');
  const open = (name: string, text: string) =>
    page
      .getByLabel('Project file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await open('newer.json', '{"format":"skiametra-project","schemaVersion":42}');
  await expect(page.getByText(/newer Skiametra/)).toBeVisible();
  await open('cut.json', '{"format":"skiametra-pro');
  await expect(page.getByText(/cut short/)).toBeVisible();
  // a hand-edited export
  const href = await page.getByRole('link', { name: 'Export' }).first().getAttribute('href');
  const file = (await (await page.request.get(`${href}?form=json`)).json()) as {
    versions: { document: { design: { drives: { motor: { kv: unknown } }[] } } }[];
  };
  file.versions[0]!.document.design.drives[0]!.motor.kv = 'fast';
  await open('edited.json', JSON.stringify(file));
  await expect(page.getByText(/damaged or was edited by hand.*kv/)).toBeVisible();
  // addresses that lead nowhere
  expect((await page.request.get('/api/projects/999999/export')).status()).toBe(404);
  await page.goto('/projects/999999/versions/1/brief');
  await expect(page.getByText('Nothing here')).toBeVisible();
  await page.goto("/projects/1/versions/1'--/brief");
  await expect(page.getByText('Nothing here')).toBeVisible();
});
