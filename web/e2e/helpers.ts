import { expect, type Page } from '@playwright/test';

export const STATIONS = [
  'brief',
  'shape',
  'sections',
  'balance',
  'power',
  'structure',
  'flight',
  'score',
  'trade',
  'test',
  'refine',
];

export const strip = (page: Page, key: string) => page.locator(`[data-watch="${key}"] .value`);

/** The number in a strip cell; NaN while it is being computed. */
export async function stripNumber(page: Page, key: string): Promise<number> {
  const text = (await strip(page, key).innerText()).replace('−', '-').replaceAll('\u202f', '');
  const found = /-?[\d.]+/.exec(text);
  return found ? Number(found[0]) : NaN;
}

export const saved = (page: Page) =>
  expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved', { timeout: 20_000 });

export async function station(page: Page, name: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name }).click();
  await expect(page).toHaveURL(new RegExp(`/${name.toLowerCase()}(\\?.*)?$`));
}

/** A fresh project of one's own; returns its address up to the station. */
export async function newProject(page: Page, name: string, from = 'plain'): Promise<string> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New project' }).click();
  await page.getByLabel('Project', { exact: true }).fill(name);
  await page.getByLabel('Aircraft').fill('Bittern');
  await page.getByLabel('Begin from').selectOption(from);
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page).toHaveURL(/\/versions\/\d+\/brief/);
  await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 });
  return page.url().replace(/\/brief$/, '');
}

/** Goes on as somebody of that name, entered when new. */
export async function signIn(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: /who is working/ }).click();
  await page.getByLabel('Another name').fill(name);
  await page.getByLabel('Another name').press('Enter');
  await expect(page.getByRole('button', { name: new RegExp(`^${name}`) })).toBeVisible();
}

export async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Pastes text into the focused field as a spreadsheet would. */
export async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((t) => {
    const d = new DataTransfer();
    d.setData('text/plain', t);
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true }),
    );
  }, text);
}
