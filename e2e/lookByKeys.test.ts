import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import type { Page } from 'playwright-core';
import { agreesWithGolden, bringUsual, lookAt, lookedAt, type Touch } from './usual.ts';

const stage = storyStage(bringUsual);

/** The key that leads to a control from where the focus is; null: it is there. */
function keyTo(control: Element): string | null {
  const from = document.activeElement;
  if (from === control) return null;
  const group = control.closest('[role="group"], [role="radiogroup"]');
  if (group?.contains(from) && from?.getAttribute('role') === 'radio') return 'ArrowRight';
  const isAbove =
    from !== null &&
    from !== document.body &&
    (control.compareDocumentPosition(from) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0;
  return isAbove ? 'Shift+Tab' : 'Tab';
}

/** Reaches a control by Tab, Shift+Tab where it stands above, and arrows alone, and presses it. */
const byKeys =
  (page: Page): Touch =>
  async (what) => {
    const control = await what.elementHandle();
    let pressed = 0;
    for (let key = await control.evaluate(keyTo); key !== null; key = await control.evaluate(keyTo)) {
      expect(++pressed).toBeLessThanOrEqual(60);
      await page.keyboard.press(key);
    }
    await page.keyboard.press('Space');
  };

describe('usual parts by keys alone', () => {
  // Keys go the long way: four of the six are enough for `.ci/run` too.
  it.each(lookedAt('Crankcase').slice(0, 4))('%s', async (_name, part) => {
    const page = await stage.desk();
    await open(stage, page, `/parts/${part.partId}/route`);
    await lookAt(page, part, byKeys(page));
    await agreesWithGolden(page, part);
  });
});
