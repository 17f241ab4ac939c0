/** Logs that people own: an unknown file is mapped, its damage found and taken back, beside what was typed. */
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, test, type Page } from '@playwright/test';
import { newProject, saved, station, type } from './helpers';

const ODD = (name: string) => fileURLToPath(new URL(`../../formats/src/log/odd/${name}`, import.meta.url));
const logs = (page: Page) => page.getByRole('region', { name: 'Logs' });
const measured = (page: Page) => page.getByRole('region', { name: 'What it measured' });

/** A flown card in a project of one's own. */
async function flownCard(page: Page, name: string): Promise<void> {
  await newProject(page, name, 'bittern');
  await station(page, 'Test');
  await page.getByRole('button', { name: 'Plan a flight' }).click();
  await page.getByRole('combobox', { name: 'State', exact: true }).selectOption('ferry');
  await page.getByRole('button', { name: 'It was flown: record it' }).click();
}

test('a file of an unknown logger: columns set right, kept byte for byte, reduced, damage taken back, asked once', async ({
  page,
}) => {
  test.setTimeout(150_000);
  await flownCard(page, 'Somebody’s log');
  await type(page, 'Ground run', '11.2 m');
  await page.getByLabel('Log file').setInputFiles(ODD('harbour.csv'));
  const columns = page.getByRole('table', { name: 'Columns of the file' });
  await expect(columns).toBeVisible({ timeout: 20_000 });
  await expect(logs(page)).toContainText('semicolons, decimal commas, 11 lines before the values');
  await expect(page.getByLabel('What Höhe baro holds')).toHaveValue('pressureHeight');
  await expect(page.getByLabel('What Geschw. is written in')).toHaveValue('kt');
  await page.getByRole('button', { name: 'Take it so' }).click();
  await expect(logs(page)).toContainText('values that leap away', { timeout: 30_000 });
  await expect(logs(page)).toContainText('fixes that stand still in the air');
  // wind of 4.00 m/s, a climb of 2.5 m/s, and the typed run as it was beside the log's own
  await expect(measured(page)).toContainText(/[34]\.\d\d ± 0\.0\d m\/s/);
  await expect(measured(page)).toContainText('of the day, not of the aircraft');
  await expect(measured(page)).toContainText('typed tape on the strip');
  await expect(page.getByRole('textbox', { name: 'Ground run' })).toHaveValue('11.2');
  // a spike is taken back by a click, and put right again by undo
  const spike = logs(page)
    .getByLabel(/Put right: spikes/)
    .first();
  // it changes when the flight is reduced anew
  await spike.click();
  await expect(spike).not.toBeChecked();
  await saved(page);
  // legs of another mission are looked for, and told beside their prediction
  await page.getByLabel('Legs looked for').selectOption({ label: 'Relay heat' });
  await expect(logs(page)).toContainText('May be legs of Relay heat:', { timeout: 20_000 });
  await expect(measured(page)).toContainText('Time of the leg Relay heat');
  // the same logger is not asked about again
  await page.getByLabel('Log file').setInputFiles({
    name: 'again.csv',
    mimeType: 'text/csv',
    buffer: Buffer.concat([readFileSync(ODD('harbour.csv')), Buffer.from('\r\n')]),
  });
  await expect(logs(page)).toContainText('again.csv', { timeout: 30_000 });
  await expect(columns).toBeHidden();
});

test('a number of one leg is typed with its spread, and has its own line in Refine', async ({ page }) => {
  test.setTimeout(120_000);
  await flownCard(page, 'Read by hand');
  await page.getByText('Other numbers that were read').click();
  await page.getByRole('button', { name: 'Add a reading' }).click();
  const number = page.getByRole('combobox', { name: 'Number that was read' });
  await number.fill('volts under load: relay');
  await page.getByRole('option').first().click();
  const add = page.getByRole('button', { name: 'Add it' });
  await type(page, 'Value', '11.2');
  await expect(add).toBeDisabled();
  await expect(page.getByText('A value without its spread teaches nothing.')).toBeVisible();
  await type(page, 'Spread', '-1');
  await expect(page.getByText('A spread is above zero.')).toBeVisible();
  await type(page, 'Spread', '0.2');
  await page.getByLabel('How', { exact: true }).fill('display of the transmitter');
  await type(page, 'At throttle', '60');
  await add.click();
  await expect(measured(page)).toContainText('11.20 ± 0.20 V');
  await expect(measured(page)).toContainText('typed display of the transmitter, at 60 % throttle');
  await saved(page);
  await station(page, 'Refine');
  const journey = page.getByRole('region', { name: 'Journey of each number' });
  await expect(journey).toContainText('Volts under load: Relay heat');
  await expect(journey.getByRole('img').first()).toHaveAttribute('aria-label', /typed 11\.20 ± 0\.20 V/);
});

test('the file comes back byte for byte; opening a project loads no log; a stretch is set by keys', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const fetched: string[] = [];
  page.on('request', (r) => {
    if (r.url().includes('/api/files/')) fetched.push(r.url());
  });
  await page.goto('/projects/1/versions/5/test');
  await page.getByRole('button', { name: /Circles, glides/ }).click();
  await expect(logs(page)).toContainText('marsch-0417.csv');
  expect(fetched).toEqual([]);
  await page.getByRole('button', { name: 'Show its trace' }).click();
  await expect(page.getByRole('img', { name: 'The way that was flown, from above, north up' })).toBeVisible({
    timeout: 30_000,
  });
  expect(fetched).toHaveLength(1);
  await page.getByRole('button', { name: 'glide 1', exact: true }).click();
  const begins = page.getByRole('slider', { name: 'glide 1: begins' }),
    at = Number(await begins.getAttribute('aria-valuenow'));
  await begins.focus();
  await page.keyboard.press('ArrowRight');
  await expect(logs(page)).toContainText('Stretches were set by hand.', { timeout: 20_000 });
  await page.getByRole('button', { name: 'glide 1', exact: true }).click();
  await expect(begins).toHaveAttribute('aria-valuenow', String(Number((at + 0.2).toFixed(1))));
  await page.getByRole('button', { name: 'All as they are found' }).click();
  await expect(logs(page)).toContainText('Choose a stretch', { timeout: 20_000 });
  await saved(page);
});

test('files that are no logs are refused with a sentence and nothing is taken', async ({ page }) => {
  await page.goto('/projects/1/versions/5/test');
  await page.getByRole('button', { name: /Laps with six tubes/ }).click();
  await page.getByLabel('Log file').setInputFiles({
    name: 'poem.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('Reeds bend.\nThe heron waits.\nNothing flies.\n'),
  });
  await expect(logs(page).getByRole('alert')).toContainText('The file was not taken.', { timeout: 20_000 });
  await page.getByText('Points read off footage').click();
  await page.getByLabel('A time [s] and a number a line').fill('0 0\n1 two\n3 4');
  await expect(logs(page)).toContainText('Line 2, “1 two”, is not a time and a number.');
});
