import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import type { Page } from 'playwright-core';
import { agreesWithGolden, bringUsual, lookAt, lookedAt, USUAL } from './usual.ts';
import { isWhole } from '../server/src/test/inCi.ts';

const stage = storyStage(bringUsual);

describe('usual parts on a phone, by thumb', () => {
  // One of them is looked at by thumb below, whatever runs; four more are enough for `.ci/run`.
  if (isWhole)
    it.each(lookedAt().slice(2))('%s: under eight touches, and it fits 390 px', async (_name, part) => {
      const page = await stage.phone();
      await open(stage, page, `/parts/${part.partId}/route`);
      expect(await lookAt(page, part, (w) => w.tap())).toBeLessThan(8);
      await agreesWithGolden(page, part);
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    });
  it('a step is taken by its handle and carried by thumb', async () => {
    const page = await stage.phone();
    await open(stage, page, `/parts/${USUAL[1]!.partId}/route`);
    expect(await lookAt(page, USUAL[1]!, (w) => w.tap())).toBeLessThan(8);
    await page.getByRole('button', { name: 'Edit steps' }).tap();
    const rows = page.getByRole('dialog').locator('ol > li');
    const second = (await rows.nth(1).innerText()).replace(/^\d+\s*/, '').split('\n')[0]!;
    const middle = async (n: number) => {
      const box = (await page.getByRole('button', { name: `Take step ${n} in hand` }).boundingBox())!;
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    await carry(page, await middle(2), await middle(1));
    await page.waitForTimeout(400);
    expect((await rows.nth(0).innerText()).replace(/^\d+\s*/, '')).toContain(second);
  });
});

/** A finger laid on one point, drawn to another and lifted. */
async function carry(
  page: Page,
  from: { readonly x: number; readonly y: number },
  to: { readonly x: number; readonly y: number },
): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number, y: number) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  await send('touchStart', from.x, from.y);
  const steps = 8;
  for (let i = 1; i <= steps; i++) {
    await send(
      'touchMove',
      from.x + ((to.x - from.x) * i) / steps,
      from.y + ((to.y - 6 - from.y) * i) / steps,
    );
    await page.waitForTimeout(30);
  }
  await send('touchEnd', to.x, to.y);
}
