import AxeBuilder from '@axe-core/playwright';
import { afterAll, afterEach, beforeAll, describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import { open, startStage, type Stage } from './browser.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterEach(() => stage.closePages());
afterAll(() => stage.close());

/** WCAG 2.1 A and AA by axe-core (general-purpose open-source checker): each violation with where it is. */
async function violations(page: Page, rules?: readonly string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  const builder = rules
    ? axe.withRules([...rules])
    : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']);
  const r = await builder.analyze();
  return r.violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .slice(0, 3)
        .map((n) => n.target.join(' '))
        .join(' | ')}`,
  );
}

// The rows of the Bench are alike: one machine's stand for all.
const SCREENS = [
  '/?machine=van',
  '/air/leanto',
  '/machines',
  '/parts/pump.cylinder-block',
  '/reference',
  '/parts/van.leaf-springs/route',
  '/mix',
  '/shelf',
  '/shelf/labels',
];
/** Names and structure are the same by night: there only what the theme changes is looked at. */
const THEMES = [
  ['day', undefined],
  ['night and booth', ['color-contrast']],
] as const;

/** Goes to another screen of the page that is open, as a touch on a link does. */
async function go(page: Page, path: string): Promise<void> {
  await page.evaluate((to) => {
    for (const h of document.querySelectorAll('h1')) h.dataset['left'] = '';
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, path);
  // A screen's heading comes with what the server said.
  await page.locator('h1:not([data-left])').first().waitFor();
}

describe.each(THEMES)('AA contrast and names, %s', (theme, rules) => {
  it('every screen, the coat dialog and Why?', async () => {
    const page = await stage.desk();
    await open(stage, page, '/settings');
    await page.getByRole('radio', { name: theme }).click();
    const found: Record<string, string[]> = { '/settings': await violations(page, rules) };
    for (const path of SCREENS) {
      await go(page, path);
      found[path] = await violations(page, rules);
    }
    await go(page, '/parts/quarry.main-frame-left');
    for (const name of ['Coat now', 'Why?']) {
      await page.getByRole('button', { name }).click();
      await page.getByRole('dialog').locator('button:enabled').first().waitFor();
      found[name] = await violations(page, rules);
      await page.keyboard.press('Escape');
    }
    expect(found).toEqual(Object.fromEntries(Object.keys(found).map((k) => [k, []])));
  }, 240_000);
});

describe('narrow screens', () => {
  it('every screen fits 390 px', async () => {
    const page = await stage.phone();
    await open(stage, page, '/settings');
    for (const path of SCREENS) {
      await go(page, path);
      const widthPx = await page.evaluate(() => document.documentElement.scrollWidth);
      expect([path, Math.max(widthPx, 390)]).toEqual([path, 390]);
    }
  }, 120_000);
});
