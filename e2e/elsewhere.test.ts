import { describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import sharp from 'sharp';
import { open, rowOf, storyStage } from './browser.ts';

const stage = storyStage();

const dialog = (page: Page) => page.getByRole('dialog');
const rows = async (): Promise<{ readonly partId: string }[]> =>
  (await stage.app.call('GET', '/api/bench')).body.rows;

describe('what is elsewhere, and what came from elsewhere', () => {
  it('a part at the blaster’s is away: the Bench says where and until when, a coat asks for a reason, and it comes back by a touch', async () => {
    const page = await stage.desk();
    const partId = 'saltern.float-port';
    await open(stage, page, `/parts/${partId}`);
    await page.getByRole('button', { name: 'Log…' }).click();
    await dialog(page).getByLabel('What was done').selectOption({ label: 'Sent away' });
    await dialog(page).getByRole('button', { name: 'Log that it left' }).click();
    // Nobody said to whom: nothing is stored.
    await dialog(page).getByLabel('To whom').fill('Quay Blasting');
    await dialog(page).getByLabel('Promised back by').fill('2026-03-20');
    await dialog(page).getByRole('button', { name: 'Log that it left' }).click();
    await page.getByText('at Quay Blasting · back by 20 Mar 2026').waitFor();
    await page.getByText('not known where it is').waitFor();
    await open(stage, page, '/?show=drying');
    expect(await rowOf(page, partId).textContent()).toContain('away');
    await rowOf(page, partId).getByRole('button', { name: 'It is back' }).click();
    await dialog(page).getByRole('button', { name: 'It is back' }).click();
    await rowOf(page, partId).waitFor({ state: 'detached' });
    expect((await rows()).some((r) => r.partId === partId)).toBe(false);
  });
  it('a sheet typed from the tin keeps a picture of what it was typed from', async () => {
    const page = await stage.desk();
    await open(stage, page, '/reference');
    await page.getByRole('button', { name: 'Type a sheet from the tin' }).click();
    await dialog(page).getByLabel('Name on the tin').fill('Estuary primer 20');
    await dialog(page).getByLabel('Next coat not before').fill('16 h @ 10 C');
    await dialog(page).getByLabel('Next coat not after').fill('7 days @ 20 C');
    const picture = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#ddd' } })
      .png()
      .toBuffer();
    await dialog(page)
      .getByLabel('A picture of the data sheet')
      .setInputFiles({ name: 'sheet.png', mimeType: 'image/png', buffer: picture });
    await dialog(page).getByRole('button', { name: 'We have this' }).click();
    await dialog(page).waitFor({ state: 'detached' });
    const link = page
      .getByRole('row', { name: /Estuary primer 20/ })
      .getByRole('link', { name: 'The data sheet of Estuary primer 20, as it was pictured' });
    const href = (await link.getAttribute('href'))!;
    const shown = await page.request.get(new URL(href, page.url()).href);
    expect([shown.status(), shown.headers()['content-type']]).toEqual([200, 'image/jpeg']);
  });
});
