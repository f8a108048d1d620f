import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import { agreesWithGolden, bringUsual, lookAt, lookedAt } from './usual.ts';

const stage = storyStage(bringUsual);

describe('usual parts at a desk, from “what is it?” to an advice that the golden decisions agree with', () => {
  it.each(lookedAt('Step bracket'))('%s: under eight touches', async (_name, part) => {
    const page = await stage.desk();
    await open(stage, page, `/parts/${part.partId}/route`);
    expect(await lookAt(page, part, (w) => w.click())).toBeLessThan(8);
    await agreesWithGolden(page, part);
  });
});
