import { describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import { obscured } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { makePlan } from './plans.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();

const dialog = (page: Page) => page.getByRole('dialog');

describe('by keyboard only', () => {
  it('j and k walk every list, and the act keys are of the row they stand on', async () => {
    const page = await stage.desk();
    const focused = () =>
      page.evaluate(() => document.activeElement?.closest<HTMLElement>('[data-row]')?.dataset['row'] ?? null);
    for (const path of ['/', '/machines', '/inspect', '/ledger', '/aftercare', '/shelf']) {
      await open(stage, page, path);
      await page.locator('main [data-row]').first().waitFor();
      await page.keyboard.press('j');
      const first = await page.evaluate(() => document.activeElement?.closest('[data-row]')?.textContent);
      await page.keyboard.press('j');
      await page.keyboard.press('k');
      const again = await page.evaluate(() => document.activeElement?.closest('[data-row]')?.textContent);
      expect([path, again]).toEqual([path, first]);
      expect([path, (await focused()) === null]).toEqual([path, false]);
    }
    await open(stage, page, '/machines/quarry');
    await page.locator('main [data-row]').nth(1).waitFor();
    await page.keyboard.press('j');
    await page.keyboard.press('j');
    const partId = (await focused())!;
    await page.keyboard.press('w');
    await dialog(page).getByRole('heading', { name: 'Why?' }).waitFor();
    expect(partId).toMatch(/\./);
    await page.keyboard.press('Escape');
    await dialog(page).waitFor({ state: 'detached' });
    await page.keyboard.press('l');
    await dialog(page).getByLabel('What was done').waitFor();
    await page.keyboard.press('Escape');
  });
  it('next part, log a coat, go to places, ask for the keys', async () => {
    const page = await stage.desk();
    await open(stage, page, '/?show=now');
    await page.locator('[data-part]').first().waitFor();
    await page.keyboard.press('j');
    const partId = await page.evaluate(
      () => (document.activeElement as HTMLElement | null)?.dataset['part'] ?? '',
    );
    expect(partId).not.toBe('');
    await page.keyboard.press('c');
    await dialog(page).getByRole('button', { name: 'Coated: log it' }).waitFor();
    await page.keyboard.press('Escape');
    await dialog(page).waitFor({ state: 'detached' });
    await page.keyboard.press('w');
    await dialog(page).getByRole('heading', { name: 'Why?' }).waitFor();
    await page.keyboard.press('Escape');
    await dialog(page).waitFor({ state: 'detached' });
    await page.keyboard.press('g');
    await page.keyboard.press('a');
    await page.getByRole('heading', { name: 'Air', exact: true }).waitFor();
    expect(new URL(page.url()).pathname).toMatch(/^\/air/);
    await page.keyboard.press('/');
    await dialog(page).getByRole('combobox').or(dialog(page).getByRole('textbox')).first().fill('smokebox');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Smokebox door' }).waitFor();
    await page.keyboard.press('?');
    await dialog(page).getByText('log a coat on the part').waitFor();
  });

  it('a word explains itself, and goes again by a second touch, by Escape or by a touch elsewhere', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.main-frame-left');
    const word = page.locator('main button[aria-haspopup="dialog"]').first();
    const means = page.getByRole('dialog', { name: /^What “/ });
    await word.click();
    await means.getByText('all words').waitFor();
    await word.click();
    await means.waitFor({ state: 'detached' });
    await word.focus();
    await page.keyboard.press('Enter');
    await means.waitFor();
    await page.keyboard.press('Escape');
    await means.waitFor({ state: 'detached' });
    // The focus goes back a moment after the panel is gone.
    await page.waitForFunction((w) => w === document.activeElement, await word.elementHandle());
    await word.click();
    await means.waitFor();
    await page.mouse.click(900, 780);
    await means.waitFor({ state: 'detached' });
    await word.click();
    await means.getByRole('link', { name: 'all words' }).click();
    await page.waitForURL(/\/reference#word\.state\./);
  });

  itInCi(
    'nothing lies on what a key has gone to: rows under the head, fields under a foot, sessions under the names',
    async () => {
      const page = await stage.desk();
      const times = (n: number, key: string): string[] => Array.from({ length: n }, () => key);
      await open(stage, page, '/');
      expect(await obscured(page, [...times(25, 'j'), ...times(25, 'k')])).toEqual([]);
      await open(stage, page, '/parts/quarry.main-frame-left');
      await page.getByRole('button', { name: 'Coat now' }).click();
      await page.getByRole('dialog').getByLabel('Product').waitFor();
      expect(await obscured(page, [...times(18, 'Tab'), ...times(18, 'Shift+Tab')])).toEqual([]);
      await open(stage, page, '/plan');
      await makePlan(page);
      await page
        .getByRole('button', { name: /^Session / })
        .nth(20)
        .focus();
      expect(await obscured(page, times(20, 'Shift+Tab'))).toEqual([]);
    },
    120_000,
  );
});
