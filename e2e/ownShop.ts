import { expect } from '@jest/globals';
import type { Locator, Page } from 'playwright-core';
import { open, type Stage } from './browser.ts';

/** Hands that count: a touch, or a field filled in. */
function hands(page: Page, isTouch: boolean) {
  const counted = { touches: 0, fields: 0 };
  const touch = async (what: Locator): Promise<void> => {
    counted.touches += 1;
    await (isTouch ? what.tap() : what.click());
  };
  return {
    counted,
    button: (name: string | RegExp) => touch(page.getByRole('button', { name, exact: true }).first()),
    radio: (name: string) => touch(page.getByRole('radio', { name }).first()),
    link: (name: string | RegExp) => touch(page.getByRole('link', { name }).first()),
    touch,
    async fill(label: string, text: string): Promise<void> {
      counted.fields += 1;
      await page.getByLabel(label, { exact: true }).first().fill(text);
    },
  };
}

const PARTS = [
  'Frame left, mild steel, 24 kg, 2 m2, 8 mm',
  'Frame right, mild steel, 24 kg, 2 m2, 8 mm',
  'Drum, cast, 60 kg, 0.9 m2',
  'Gear guard, ally casting, 3 kg, 0.4 m2',
  'Handle, bronze, 1 kg',
  'Tie bar, mild steel, 6 off',
  'Pawl, unobtainium',
].join('\n');

/** From nothing to what can be coated now: own place, own machine, own product; no JSON, no help text. */
export async function ownShop(stage: Stage, page: Page, isTouch: boolean) {
  const h = hands(page, isTouch);
  await page.goto(stage.app.base);
  await page.getByRole('heading', { name: 'Start here' }).waitFor();
  await h.button('Start our own shop');
  await h.fill('Name of the shop', 'Slip shed');
  await h.fill('Time zone', 'Europe/London');
  await h.button('Begin');
  await h.fill('Another person', 'Rui');
  await h.button('Add');
  await page.getByText('holds this device').waitFor();
  await h.link('Next: places');
  await h.button('Add a place');
  await h.fill('Name', 'Long shed');
  await h.button('Make the place');
  await h.button('Log a reading in Long shed');
  await h.fill('Air', '18 C');
  await h.fill('Humidity, %', '50');
  await h.button('Store reading');
  await page.getByText('18.0 °C · 50 %').waitFor();
  await h.link('Next: what the shop has');
  await h.link('Next: the first machine');
  await h.fill('Name', 'Boat winch');
  await h.fill('What it is', 'machine tool');
  await h.button('Make the machine');
  await h.fill('Parts, one to a line', PARTS);
  await page.getByText('1 row stays here until mended').waitFor();
  await h.button('Make 11 parts');
  // The row that was not understood stays, and is put right where it stands.
  await page.getByLabel('Metal of row 1, Pawl').waitFor();
  expect(await page.getByLabel('Parts, one to a line').inputValue()).toBe('Pawl, unobtainium');
  await page.getByLabel(/^Metal of row 1/).selectOption({ label: 'cast steel' });
  await h.button('Make 1 part');
  await page.getByText('12 parts', { exact: false }).first().waitFor();

  // The tin that stands on the shelf.
  await open(stage, page, '/reference');
  await h.button('Type a sheet from the tin');
  await h.fill('Name on the tin', 'Grey epoxy');
  await h.fill('Next coat not before', '16 h @ 50 F; 8 h @ 20 C');
  await h.fill('Next coat not after', '7 days @ 20 C');
  await h.fill('Mixing ratio', '3:1 v/v');
  await h.fill('Film of one coat, dry', '2-3 mil');
  await page.getByText('Like Epoxy primer: pot life', { exact: false }).waitFor();
  await h.button('We have this');
  await page.getByText('Its sheet is in: Grey epoxy').waitFor();

  // A part: surveyed, routed, placed, blasted.
  await open(stage, page, '/machines');
  await h.link(/Frame left/);
  await page.getByRole('heading', { name: 'Frame left' }).waitFor();
  await page.getByText('no route yet: survey it and choose one').waitFor();
  await h.link('Survey');
  await h.button(/I looked: nothing else unusual/);
  await page.getByText('Grey epoxy', { exact: false }).first().waitFor();
  await h.touch(page.getByRole('radio', { name: /Grey epoxy/ }).first());
  await h.touch(page.getByRole('button', { name: 'Use this route' }));
  await h.button('say where it stands');
  await h.radio('Long shed');
  await h.button('Log move');
  await h.button('Prepare');
  await h.button('Log stripping');
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await open(stage, page, '/');
  const row = page.locator('[data-part]').filter({ hasText: 'Frame left' });
  await row.first().waitFor();
  await row.getByText('Grey epoxy', { exact: false }).waitFor();
  await row.getByRole('button', { name: /^Coat now/ }).waitFor();
  return h.counted;
}
