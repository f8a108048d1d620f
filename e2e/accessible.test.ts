import { describe, expect, it } from '@jest/globals';
import { brokenRules, violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';

const stage = storyStage();

describe('AA contrast and names', () => {
  it('every screen, the coat dialog and Why?, by day and by night', async () => {
    expect(await brokenRules(stage)).toEqual({});
  }, 240_000);

  it('a button without a name, words that are hardly seen and a touch too small are found', async () => {
    const page = await stage.desk();
    await open(stage, page, '/reference');
    await page.evaluate(() => {
      document.querySelector('main')!.innerHTML =
        '<button id="nameless" style="width:40px;height:40px"></button><p id="faint" style="color:#eee;background:#fff">faint</p>' +
        '<button id="tiny" style="width:12px;height:12px">a</button><button style="width:40px;height:40px">b</button>';
    });
    expect((await violations(page)).sort()).toEqual([
      'button-name: #nameless',
      'color-contrast: #faint',
      'target-size: #tiny',
    ]);
  });
});
