import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import type { Page } from 'playwright-core';
import { agreesWithGolden, bringUsual, lookAt, lookedAt, type Touch } from './usual.ts';

const stage = storyStage(bringUsual);

/** Reaches a control by Tab, Shift+Tab where it stands above, and arrows alone, and presses it. */
const byKeys =
  (page: Page): Touch =>
  async (what) => {
    const isThere = () => what.evaluate((e) => e === document.activeElement);
    const isNear = () =>
      what.evaluate(
        (e) => e.closest('[role="group"], [role="radiogroup"]')?.contains(document.activeElement) ?? false,
      );
    const isAbove = () =>
      what.evaluate((e) => {
        const from = document.activeElement;
        return (
          from !== null &&
          from !== document.body &&
          (e.compareDocumentPosition(from) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0
        );
      });
    const next = async (): Promise<string> => {
      if ((await isNear()) && (await onRadio(page))) return 'ArrowRight';
      return (await isAbove()) ? 'Shift+Tab' : 'Tab';
    };
    for (let i = 0; i < 60 && !(await isThere()); i++) await page.keyboard.press(await next());
    expect(await isThere()).toBe(true);
    await page.keyboard.press('Space');
  };
const onRadio = (page: Page): Promise<boolean> =>
  page.evaluate(() => document.activeElement?.getAttribute('role') === 'radio');

describe('usual parts by keys alone', () => {
  // Keys go the long way: four of the six are enough for `.ci/run` too.
  it.each(lookedAt('Crankcase').slice(0, 4))('%s', async (_name, part) => {
    const page = await stage.desk();
    await open(stage, page, `/parts/${part.partId}/route`);
    await lookAt(page, part, byKeys(page));
    await agreesWithGolden(page, part);
  });
});
