/** What the score rewards and how it is studied: the worth list, maps, tables, models, other rules, what broke a requirement. */
import { expect, test } from '@playwright/test';
import { newProject, station, stripNumber, type } from './helpers';

const BITTERN = '/projects/1/versions/5';

test('the worth list names what limits the score; a step is taken and taken back', async ({ page }) => {
  await page.goto(`${BITTERN}/score`);
  const list = page.getByRole('table', { name: 'What a step is worth' });
  await expect(list.getByRole('row').nth(3)).toBeVisible({ timeout: 40_000 });
  const limits = page.getByRole('region', { name: 'What limits the score' });
  await expect(limits).toContainText(/8 tubes scores \d+.*at most 20 m is asked/);
  await expect(page.getByText(/next ten points are cheapest here/)).toBeVisible();
  const score = await stripNumber(page, 'score@tubes-8');
  await list
    .getByRole('row', { name: /Units carried/ })
    .getByRole('button', { name: 'Take' })
    .click();
  await expect.poll(() => stripNumber(page, 'score@tubes-8')).toBeGreaterThan(score + 10);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => stripNumber(page, 'score@tubes-8')).toBe(score);
});

test('the same aircraft under other rules, and the own versions as a field', async ({ page }) => {
  await page.goto(`${BITTERN}/score?tab=rules`);
  const rules = page.getByRole('table', { name: 'Scores under every set of rules' });
  await expect(rules).toContainText('Long stage', { timeout: 30_000 });
  await expect(rules.getByRole('row', { name: /12 tubes/ })).toContainText(/350\.\d ◆/);
  await page.goto(`${BITTERN}/score?tab=field`);
  await expect(page.getByText(/\d+ % of its points, \d/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Score them' }).click();
  await expect(page.getByRole('table', { name: 'Versions as the field' })).toContainText('Bittern canard', {
    timeout: 60_000,
  });
  await expect(page.getByText(/parCrossing: no formula says/)).toBeVisible();
});

test('from an empty project: a map is walked, and its best cell becomes a version with the reason', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const at = await newProject(page, 'Map of my own', 'plain');
  await station(page, 'Trade');
  await page.getByRole('button', { name: 'Begin a study' }).click();
  await type(page, 'Name', 'First look');
  await page.getByLabel('Steps').first().fill('3');
  await page.getByLabel('Steps').first().press('Enter');
  await page.getByLabel('Steps').nth(1).fill('3');
  await page.getByLabel('Steps').nth(1).press('Enter');
  await page.getByRole('button', { name: 'Walk it' }).click();
  await expect(page.getByRole('group', { name: 'Map of the study' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: 'Walk it again' })).toBeEnabled({ timeout: 60_000 });
  const cells = page.getByRole('button', { name: /^Cells:/ });
  await cells.focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Make it a version' }).click();
  await expect(page.getByLabel('Why')).toHaveValue(/From the study “First look”/);
  await page.getByRole('button', { name: 'Make it', exact: true }).click();
  await expect(page).not.toHaveURL(new RegExp(`${at}/`), { timeout: 20_000 });
  await expect(page.getByRole('combobox', { name: 'Version' })).toHaveValue(/Bittern/);
});

test('a range that may not be is said in a sentence, and what was typed stays', async ({ page }) => {
  await newProject(page, 'Wrong range', 'plain');
  await station(page, 'Trade');
  await page.getByRole('button', { name: 'Begin a study' }).click();
  await page.getByLabel('To', { exact: true }).first().fill('9000');
  await page.getByLabel('To', { exact: true }).first().press('Enter');
  await page.getByRole('button', { name: 'Walk it' }).click();
  await expect(page.getByText(/^Units carried.* must be at most/)).toBeVisible();
});

test('a table of what cannot be computed says who wins and what turns it', async ({ page }) => {
  await newProject(page, 'Weighed', 'plain');
  await station(page, 'Trade');
  await page.getByText('Tables', { exact: true }).click();
  await page.getByRole('button', { name: 'Begin a table' }).click();
  const verdict = page.getByRole('region', { name: 'What it comes to' });
  await expect(verdict).toContainText('Open: a mark that is missing');
  for (const [i, criterion] of ['Easy to build', 'Low drag', 'Reliable', 'Light'].entries())
    for (const [option, mark] of [
      ['One way', [8, 4, 6, 5][i]!],
      ['Another way', [5, 6, 6, 5][i]!],
    ] as const)
      await type(page, `${option}: ${criterion}`, String(mark));
  await expect(verdict).toContainText(/One way with 5\.75, 0\.25 ahead of Another way\. That is a weak win/);
  await expect(verdict).toContainText(/draws level with “Low drag” at 1\.5 instead of 1\.0/);
  await type(page, 'Least mark of Low drag', '5');
  await expect(verdict).toContainText(/Another way with 5\.50/);
  await expect(verdict).toContainText('One way is out: too little in Low drag');
});

test('a model is kept in the library and taken into another project', async ({ page }) => {
  await page.goto(`${BITTERN}/trade?tab=models`);
  const library = page.getByRole('region', { name: 'Library' });
  await library.getByRole('button', { name: 'Keep in the library' }).first().click();
  await expect(library).toContainText('in this project');
  await newProject(page, 'With a model', 'plain');
  await station(page, 'Trade');
  await page.getByText('Models', { exact: true }).click();
  await page.getByRole('button', { name: 'Take it in' }).first().click();
  await expect(page.getByRole('table', { name: 'Proportions' })).toContainText('Last year');
  await page
    .getByRole('button', { name: /out of the library/ })
    .first()
    .click();
});

test('the edit that broke a requirement is named; what no number says is asked in words', async ({
  page,
}) => {
  await newProject(page, 'Broken rule', 'plain');
  await page.getByRole('button', { name: 'Add a requirement' }).click();
  await page.getByLabel('Quantity, row 1').selectOption('groundRun');
  await type(page, 'At most, row 1', '60 m');
  const rows = page.getByRole('table', { name: 'Requirements' });
  await expect(rows).toContainText('to spare');
  await type(page, 'At most, row 1', '1 m');
  await expect(rows).toContainText('over by');
  await expect(rows).toContainText(/since .*60/);
  await page.getByRole('button', { name: 'Ask in words' }).click();
  await page.getByLabel('Statement 1', { exact: true }).fill('The hatch stays shut upside down.');
  await page.getByLabel('What the test of statement 1 said').selectOption('met');
  await expect(page.getByLabel('Statement 1', { exact: true })).toHaveValue(
    'The hatch stays shut upside down.',
  );
});
