import AxeBuilder from '@axe-core/playwright';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import { open, startStage, type Stage } from './browser.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterAll(() => stage.close());

/** WCAG 2.1 A and AA by axe-core (general-purpose open-source checker): each violation with where it is. */
async function violations(page: Page): Promise<string[]> {
  const r = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']).analyze();
  return r.violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .slice(0, 3)
        .map((n) => n.target.join(' '))
        .join(' | ')}`,
  );
}

const PLACES = [
  '/',
  '/air/leanto',
  '/machines',
  '/parts/pump.cylinder-block',
  '/settings',
  '/reference',
  '/parts/van.leaf-springs/route',
  '/mix',
  '/shelf',
  '/shelf/labels',
];

// The words on the buttons of the two themes.
describe.each(['day', 'night and booth'] as const)('AA contrast and names, %s', (theme) => {
  it.each(PLACES)('%s', async (path) => {
    const page = await stage.desk();
    await open(stage, page, '/settings');
    await page.getByRole('radio', { name: theme }).click();
    await open(stage, page, path);
    await page.waitForTimeout(800);
    expect(await violations(page)).toEqual([]);
    await page.context().close();
  });
  it('the coat dialog and Why?', async () => {
    const page = await stage.desk();
    await open(stage, page, '/settings');
    await page.getByRole('radio', { name: theme }).click();
    await open(stage, page, '/parts/quarry.main-frame-left');
    for (const name of ['Coat now', 'Why?']) {
      await page.getByRole('button', { name }).click();
      await page.getByRole('dialog').waitFor();
      await page.waitForTimeout(400);
      expect(await violations(page)).toEqual([]);
      await page.keyboard.press('Escape');
    }
    await page.context().close();
  });
});

describe('narrow screens', () => {
  it.each(PLACES)('%s fits 390 px', async (path) => {
    const page = await stage.phone();
    await open(stage, page, path);
    await page.waitForTimeout(500);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.context().close();
  });
});
