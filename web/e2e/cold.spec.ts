/**
 * Every station and tab of every demo and of a new project on a cold browser, watched from the first paint until it settles:
 * nothing false at any moment.
 */
import { expect, test, type Page } from '@playwright/test';
import { STATIONS, newProject, saved, station } from './helpers';

const DEMOS = [/Bittern/, /Crane/, /Wafer/, /Gnat/];
/** Words that are no words, and sentences that may not stand before there is a ledger. */
const WRONG = /\bNaN\b|\bundefined\b|\bInfinity\b|\[object|\bnull\b/;
const TOO_EARLY =
  /Every state lies inside|Every requirement is met|inside their limits|asks for a change|all states are inside/;

/** Collects what the page shows that it may not, from the very first paint on. */
async function watch(page: Page): Promise<() => Promise<string[]>> {
  await page.addInitScript(
    ([wrong, early]) => {
      const seen = new Set<string>();
      (window as unknown as { seen: Set<string> }).seen = seen;
      const look = () => {
        const text = document.body?.innerText ?? '';
        const bad = new RegExp(wrong).exec(text);
        if (bad) seen.add(`“${text.slice(Math.max(0, bad.index - 40), bad.index + 30)}”`);
        const computed = [...document.querySelectorAll('.strip .value')].some((e) =>
          /\d/.test(e.textContent ?? ''),
        );
        const said = new RegExp(early).exec(text);
        if (said && document.querySelector('.strip') && !computed) seen.add(`too early: ${said[0]}`);
        requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    },
    [WRONG.source, TOO_EARLY.source] as const,
  );
  return () => page.evaluate(() => [...(window as unknown as { seen: Set<string> }).seen]);
}

/** Views of a station; a switch that changes the aircraft is none. */
const barOf = (page: Page) =>
  page
    .locator(
      ['="Balance view"', '^="Part of the"', '="Page"', '="View"']
        .map((l) => `main [aria-label${l}]`)
        .join(', '),
    )
    .first();

async function tabs(page: Page): Promise<string[]> {
  const bar = barOf(page);
  if ((await bar.count()) === 0) return [];
  return (await bar.locator('label').allInnerTexts()).map((t) => t.trim()).filter(Boolean);
}

/** Goes to every station and every view of it, and looks on until it settles. */
async function walkCold(page: Page, open: (station: string) => Promise<unknown>): Promise<void> {
  const problems: string[] = [];
  page.on('pageerror', (e) => problems.push(e.message));
  page.on('console', (m) => {
    if (m.type() === 'error') problems.push(m.text());
  });
  const wrong = await watch(page);
  for (const s of STATIONS) {
    await open(s);
    await expect(page.locator('.strip')).toHaveAttribute('aria-busy', 'false', { timeout: 60_000 });
    await expect(page.locator('main h2').first()).toBeVisible({ timeout: 30_000 });
    for (const tab of await tabs(page)) {
      await barOf(page).getByText(tab, { exact: true }).click();
      await page.waitForTimeout(150);
    }
    expect(await wrong(), s).toEqual([]);
    expect(problems, s).toEqual([]);
  }
}

/** The first station by its address, the others as people go: by the rail. */
const byRail = (page: Page, base: string) => async (s: string) => {
  if (s === STATIONS[0]) return page.goto(`${base}/${s}`);
  await station(page, s);
};

for (const demo of DEMOS)
  test(`${demo.source}: every station and tab, from the first paint on`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.goto('/');
    const home = await page.getByRole('link', { name: demo }).first().getAttribute('href');
    await walkCold(page, byRail(page, home!.replace(/\/[a-z]+$/, '')));
  });

test('a new project: every station and tab, from the first paint on', async ({ page, browser, baseURL }) => {
  test.setTimeout(240_000);
  const base = await newProject(page, 'Cold', 'plain');
  await saved(page);
  const cold = await browser.newContext({ baseURL: baseURL!, viewport: { width: 1280, height: 800 } });
  const page2 = await cold.newPage();
  await walkCold(page2, (s) => page2.goto(`${base}/${s}`));
  await cold.close();
});
