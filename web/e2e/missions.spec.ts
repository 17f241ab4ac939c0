/** Missions in legs: flown, edited, ended; things let out and let go; figures held against each other; names in formulas. */
import { expect, test, type Page } from '@playwright/test';
import { newProject, saved, station, type } from './helpers';

const tab = (page: Page, name: string) =>
  page.getByLabel('Part of the Flight station').getByText(name, { exact: true }).click();

async function flight(page: Page, name: string) {
  await station(page, 'Flight');
  await tab(page, name);
}

test('a heat is flown until the clock ends it; a longer leg costs a round, and comes back', async ({
  page,
}) => {
  await newProject(page, 'Heat', 'bittern');
  await flight(page, 'Mission');
  const ends = page.locator('.missionends');
  await expect(ends).toContainText('The clock ends it: crossing fits 6 times', { timeout: 60_000 });
  await expect(ends).toContainText('Next would be the pack');
  await expect(page.getByRole('option', { name: /Out over the marsh/ })).toHaveCount(6);
  // by keys along the band
  await page.getByRole('listbox', { name: 'Legs' }).focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  const panel = page.getByLabel('Leg: Out over the marsh');
  await expect(panel).toContainText('flown by 8 tubes');
  await panel.getByLabel('Length').fill('700');
  await panel.getByLabel('Length').press('Enter');
  await expect(ends).toContainText(/fits [345] times/, { timeout: 60_000 });
  await page.getByLabel('Undo').click();
  await expect(ends).toContainText('fits 6 times', { timeout: 60_000 });
  // a leg is copied, and a round begun at it
  await panel.getByRole('button', { name: 'Copy the leg' }).click();
  await expect(page.getByRole('option', { name: /Out over the marsh/ })).toHaveCount(10, { timeout: 60_000 });
  await page.getByLabel('Undo').click();
  await panel.getByRole('button', { name: 'Begin a round here' }).click();
  await expect(page.getByLabel('Round: Then')).toBeVisible();
  await page.getByLabel('Undo').click();
  await saved(page);
});

test('a team with a heavy task: what does not fit its leg is told in its own figures', async ({ page }) => {
  await newProject(page, 'Heavy task', 'plain');
  await flight(page, 'Mission');
  await page.getByRole('button', { name: 'New mission' }).click();
  await expect(page.locator('.missionends')).toContainText(/All of it is flown|It ends in/, {
    timeout: 60_000,
  });
  await page.getByLabel('Kind, row 3').selectOption('letOut');
  await page.getByRole('button', { name: 'Look at leg 3 of once' }).click();
  const panel = page.locator('section[aria-label^="Leg:"]');
  for (const [field, value] of [
    ['Length', '160'],
    ['Speed', '19'],
    ['Time', '18'],
  ] as const) {
    await panel.getByLabel(field, { exact: true }).fill(value);
    await panel.getByLabel(field, { exact: true }).press('Enter');
  }
  await expect(panel).toContainText('18 s at 19 m/s needs 342 m, the leg has 160 m', { timeout: 60_000 });
  await panel.getByLabel('Speed', { exact: true }).fill('fast');
  await panel.getByLabel('Speed', { exact: true }).press('Enter');
  await expect(panel.getByRole('alert')).toBeVisible();
  await panel.getByLabel('Speed', { exact: true }).press('Escape');
  // limits are the person's own, and held against what is flown
  await type(page, 'Greatest height', '5');
  await expect(page.locator('.missionends')).toContainText('above the height that you allow', {
    timeout: 60_000,
  });
  await saved(page);
});

test('let go from 25 m at 6 m/s; ten thousand times; on a drum that was mistyped', async ({ page }) => {
  await newProject(page, 'Drops', 'multirotor-4');
  await flight(page, 'In the air');
  await expect(page.getByRole('note', { name: 'Cautions' })).toContainText(
    'Nothing is dropped or lowered over people',
  );
  const gone = page.getByLabel('Dropped');
  await expect(gone).toContainText('2.26 s');
  await expect(gone).toContainText('13.5 m');
  await expect(gone).toContainText('22.9 m/s');
  await page.getByRole('button', { name: 'Drop it ten thousand times' }).click();
  await expect(page.getByText(/95 of a hundred within/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Fit a winch' }).click();
  await type(page, 'Diameter of the drum', '40');
  await type(page, 'Its motor turns', '480');
  await type(page, 'Line let out', '25');
  const winch = page.getByLabel('Winch', { exact: true });
  await expect(winch).toContainText('1.01 m/s');
  await expect(winch).toContainText('24.9 s');
  await type(page, 'Stated speed of the line', '10');
  await expect(winch).toContainText('A slip of ten?', { timeout: 60_000 });
});

test('figures that cannot all be true', async ({ page }) => {
  await newProject(page, 'Review', 'plain');
  await flight(page, 'Stated figures');
  const add = async (name: string) => {
    await page.getByRole('button', { name: 'Hold figures against each other' }).click();
    await page.getByRole('menuitem', { name }).click();
    return page.getByRole('region', { name });
  };
  const speeds = await add('Two masses, each at its speed');
  const typed = async (row: typeof speeds, fields: readonly [string, string, number?][]) => {
    for (const [label, value, nth] of fields) {
      await row
        .getByLabel(label, { exact: true })
        .nth(nth ?? 0)
        .fill(value);
      await row
        .getByLabel(label, { exact: true })
        .nth(nth ?? 0)
        .press('Enter');
    }
  };
  await typed(speeds, [
    ['Mass', '2.9'],
    ['Its speed', '16.4'],
    ['Other mass', '4.1'],
    ['Its speed', '19.5', 1],
  ]);
  await expect(speeds).toContainText('They agree: the speeds differ by a factor of 1.189');
  const hover = await add('Mass, discs and hover power');
  await typed(hover, [
    ['Mass', '5.4'],
    ['Area of the discs', '0.11 m2'],
    ['Stated power', '500'],
  ]);
  await expect(hover).toContainText('It cannot hover on 500 W');
  await expect(hover).toContainText('742 W');
  const volts = await add('Cells and volts');
  await typed(volts, [
    ['Cells in series', '6'],
    ['Stated volts', '24'],
  ]);
  await expect(volts).toContainText('22.2 V on the label and 25.2 V full: 24 V is neither');
});

test('a formula names a mission; what is missing is said, and what is there can be searched', async ({
  page,
}) => {
  await newProject(page, 'Names', 'bittern');
  await station(page, 'Brief');
  const formula = page.getByLabel('Task 2 formula');
  await formula.fill('relay.deliverys * 2');
  await expect(page.locator('.err')).toContainText('“relay” is there, but it has no “deliverys”');
  await expect(page.locator('.err')).toContainText('Did you mean “deliveries”?');
  await formula.fill('relay.deliveries * 2');
  await expect(page.locator('.err')).toHaveCount(0);
  await page.getByRole('button', { name: 'Names' }).nth(1).click();
  await page.getByLabel('Search names').fill('relay rounds');
  await expect(page.getByRole('button', { name: /relay\.rounds/ })).toContainText('6.');
  await page.getByRole('button', { name: /relay\.rounds/ }).click();
  await expect(formula).toHaveValue('relay.deliveries * 2 relay.rounds');
});
