import { afterAll, afterEach, beforeAll, describe, expect, it } from '@jest/globals';
import { brokenRules, go, SCREENS } from './accessible.ts';
import { open, startStage, type Stage } from './browser.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterEach(() => stage.closePages());
afterAll(() => stage.close());

describe('AA contrast and names by day', () => {
  it('every screen, the coat dialog and Why?', async () => {
    expect(await brokenRules(stage, 'day')).toEqual({});
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
