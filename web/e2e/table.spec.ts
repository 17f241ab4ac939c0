import { expect, test, type Page } from '@playwright/test';
import { newProject, paste, station } from './helpers';

async function masses(page: Page) {
  await page.getByRole('radiogroup', { name: 'Balance view' }).getByText('Masses', { exact: true }).click();
  await expect(ledger(page).getByRole('row').nth(3)).toBeVisible();
}
const ledger = (page: Page) => page.getByRole('table', { name: 'Mass ledger' });
const names = (page: Page) =>
  ledger(page)
    .getByRole('textbox', { name: /^Item, row/ })
    .evaluateAll((all) => all.map((e) => (e as HTMLInputElement).value));
const cell = (page: Page, name: string) => ledger(page).getByRole('textbox', { name, exact: true });

/** What the table itself puts on the clipboard. */
const copied = (page: Page) =>
  page.evaluate(() => {
    const data = new DataTransfer();
    const event = new ClipboardEvent('copy', { clipboardData: data, bubbles: true, cancelable: true });
    document.activeElement?.dispatchEvent(event);
    return data.getData('text/plain');
  });

test('a table is sorted, copied, pasted, filled down and undone like one', async ({ page }) => {
  await newProject(page, 'Sheet', 'bittern');
  await station(page, 'Balance');
  await masses(page);
  const before = await names(page);

  // a block under the keys goes to the clipboard with headings and units
  await cell(page, 'Weighed, row 1').focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowDown');
  expect((await copied(page)).split('\n')).toHaveLength(4);
  expect(await copied(page)).toMatch(/^Weighed \[g\]/);

  // back from a spreadsheet with columns in another order and another unit: one step
  await paste(page, 'Weighed [oz]\tItem\n10\tLeft wing\n\tSpar of carbon\n1\tServos');
  await expect(cell(page, 'Weighed, row 1')).toHaveValue(/^283\.49/);
  await expect(cell(page, 'Item, row 2')).toHaveValue('Spar of carbon');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  expect(await names(page)).toEqual(before);
  await expect(cell(page, 'Weighed, row 1')).toHaveValue('');

  // more rows than there are: the list grows; nonsense is refused whole
  await cell(page, `Item, row ${before.length}`).focus();
  await paste(page, 'Glue\nPaint\nBallast');
  await expect.poll(async () => (await names(page)).length).toBe(before.length + 2);
  await cell(page, 'Weighed, row 1').focus();
  await paste(page, '12\nheavy\n');
  await expect(page.getByRole('alert').filter({ hasText: '“heavy” for Weighed' })).toBeVisible();
  await expect(cell(page, 'Weighed, row 1')).toHaveValue('');

  // fill down
  await cell(page, 'Weighed, row 1').fill('21');
  await page.keyboard.press('Enter');
  await cell(page, 'Weighed, row 1').focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Control+d');
  await expect(cell(page, 'Weighed, row 3')).toHaveValue('21');

  // sorted by a heading; the document keeps its order
  await ledger(page).getByRole('button', { name: 'Item' }).click();
  const sorted = await names(page);
  expect(sorted).toEqual([...sorted].sort((a, b) => a.localeCompare(b, 'en', { numeric: true })));
  await page.reload();
  await expect.poll(() => names(page)).toEqual(sorted);
});

test('columns are chosen and remembered; states are put in order; narrow rows are cards', async ({
  page,
}) => {
  await newProject(page, 'Columns', 'bittern');
  await station(page, 'Balance');
  await masses(page);
  await ledger(page).hover();
  await page.getByRole('button', { name: 'Columns and copies: Mass ledger' }).click();
  await page.getByRole('menuitem', { name: 'Known by, shown' }).click();
  await page.keyboard.press('Escape');
  await expect(ledger(page).getByRole('columnheader', { name: /Known by/ })).toHaveCount(0);
  await page.reload();
  await expect(ledger(page)).toBeVisible();
  await expect(ledger(page).getByRole('columnheader', { name: /Known by/ })).toHaveCount(0);

  await page.getByText('10 states').click();
  const states = page.getByRole('table', { name: 'States' });
  const first = await states.getByRole('textbox', { name: 'Name, row 1', exact: true }).inputValue();
  await states.getByRole('button', { name: 'Move row 1', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Row 1 is/)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/^Row 1 is over place [2-9] of 10/)).toBeAttached();
  await page.keyboard.press('Space');
  // it stands where it is said to be
  const told = page.getByText(/^Row 1 was put down at place \d+ of 10/);
  await expect(told).toBeAttached();
  const place = /place (\d+)/.exec(await told.innerText())?.[1];
  expect(Number(place)).toBeGreaterThan(1);
  await expect(states.getByRole('textbox', { name: `Name, row ${place}`, exact: true })).toHaveValue(first);

  await page.setViewportSize({ width: 400, height: 800 });
  const row = ledger(page).getByRole('row').nth(1);
  expect((await row.boundingBox())!.width).toBeLessThan(400);
  await expect(cell(page, 'Item, row 1')).toBeVisible();
  await expect(ledger(page).locator('td[data-label="Weighed [g]"]').first()).toBeVisible();
});
