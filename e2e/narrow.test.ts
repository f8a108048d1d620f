import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { go, SCREENS } from './accessible.ts';
import { open, startStage, type Stage } from './browser.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterAll(() => stage.close());

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
