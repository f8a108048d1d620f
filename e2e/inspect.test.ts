import { describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();

const card = async (partId: string) =>
  (await stage.app.call('GET', `/api/parts/${partId}`)).body.card as {
    headline: string;
    act: { code: string; step?: string };
  };
const bars = (page: Page) => page.locator('ol[aria-label="Causes, weighed"] > li');
const finding = (page: Page) => page.locator('section[aria-label^="Finding"]');

describe('a sag is found: its cause named from the record, mended, and closed', () => {
  const PART = 'van.fuel-tank-straps';
  it('from a touch on the drawing to a closed finding, with the Bench following', async () => {
    const page = await stage.desk();
    await open(stage, page, `/parts/${PART}`);
    await page.getByRole('link', { name: 'Something wrong?' }).click();
    await page.getByRole('img', { name: /touch where it is/ }).click({ position: { x: 120, y: 90 } });
    await page.getByRole('radio', { name: 'fault of the film' }).click();
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'sag or run' }).click();

    // The record knows the air and the coats; what it does not know is asked, and an answer moves the bars at once.
    await finding(page).getByText('on Two-pack gloss').first().waitFor();
    const first = await bars(page).first().textContent();
    await finding(page).getByRole('button', { name: 'more questions' }).click();
    const ask = page.locator('section[aria-label="Ask next"]');
    await ask
      .locator('div', { hasText: 'Was a slow thinner in it?' })
      .last()
      .getByRole('button', { name: 'Yes', exact: true })
      .click();
    await bars(page).first().getByText('thinner too slow for the cold').waitFor();
    expect(await bars(page).first().textContent()).not.toBe(first);
    await finding(page).getByText('Was a slow thinner in it?').waitFor();
    expect(await violations(page)).toEqual([]);

    await finding(page).getByRole('button', { name: 'Mend it so' }).click();
    await finding(page).getByText('Under way: flat it and polish it out').waitFor();
    // It waits for the gloss to be hard enough to sand, by its own clock.
    expect(await card(PART)).toMatchObject({ headline: 'mending', act: { code: 'mend', step: 'blade-off' } });

    await finding(page).getByRole('button', { name: 'Close the finding' }).click();
    await finding(page)
      .getByText(/^Closed/)
      .waitFor();
    expect((await card(PART)).headline).not.toBe('mending');
  });
});

describe('pits on a plate that holds pressure', () => {
  const PART = 'quarry.saddle-tank';
  itInCi(
    'a slip of the pen is asked about; filler is refused where the survey says so, and the figure is the upper end',
    async () => {
      const page = await stage.desk();
      await open(stage, page, `/parts/${PART}/inspect`);
      const panel = page.locator('section[aria-label="Pits and wall"]');
      await panel.getByRole('button', { name: 'Measure' }).click();
      await panel.getByLabel('Deepest pit of each patch, mm').fill('0.4 0.5 40');
      await panel.getByText('a slip of the pen?').waitFor();
      expect(await panel.getByRole('button', { name: 'Log the pits' }).isDisabled()).toBe(true);
      await panel.getByLabel('Deepest pit of each patch, mm').fill('.30 .45 .52 .38 .61 .47 .55 .41');
      await panel.getByLabel('Patches the whole face would make').fill('40');
      await panel.getByLabel('Sound wall, mm').fill('6');
      await panel.getByLabel('Least the part needs, mm').fill('5.500');
      await panel.getByRole('button', { name: 'Log the pits' }).click();
      await panel.getByText(/Judge by 1\.4/).waitFor();
      await panel.getByText('less wall is left than the part needs').first().waitFor();
      expect(await panel.locator('ul[aria-label="Refused"]').textContent()).toContain('fill it: no.');
      expect(await violations(page)).toEqual([]);
    },
  );
});

describe('what holds a part', () => {
  it('a sign is logged, nothing goes over it, and a licensed person’s answer ends it', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.chassis-rail-left/inspect');
    await page.getByRole('radio', { name: 'not paint: refer' }).click();
    await page.getByRole('button', { name: 'a crack through the paint over a weld or a hole' }).click();
    await finding(page).getByText('This is not a matter of paint.').waitFor();
    expect((await card('van.chassis-rail-left')).headline).toBe('referred');
    // On the list of the shop it stands first.
    await open(stage, page, '/inspect');
    const held = page.locator('section[aria-label="Waits for a licensed person"]');
    await held.getByText('Chassis rail, left').waitFor();
    expect(await violations(page)).toEqual([]);
    await held.getByRole('link', { name: /Chassis rail, left/ }).click();
    await finding(page).getByRole('button', { name: 'Close the finding' }).click();
    await finding(page).getByText('This is needed.').first().waitFor();
    await finding(page).getByLabel('Who answered').fill('J. Marram, vehicle examiner');
    await finding(page).getByLabel('What they answered').fill('ground out, welded, passed');
    await finding(page).getByRole('button', { name: 'Close the finding' }).click();
    await finding(page).getByText('J. Marram').waitFor();
    expect((await card('van.chassis-rail-left')).headline).not.toBe('referred');
  });
});

describe('a short test', () => {
  itInCi('has its card, is logged with its figure, and speaks when a fault is weighed', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.cross-member-front/inspect');
    const cards = page.locator('section[aria-label="Short tests"]');
    await cards.getByRole('radio', { name: 'salt' }).click();
    await cards.getByLabel('Salt, mg/m²').fill('84');
    expect(await violations(page)).toEqual([]);
    await cards.getByRole('button', { name: 'Log the salt' }).click();
    await cards.locator('ul[aria-label="Tested so far"]').getByText('84 mg/m²').waitFor();
    await page.getByRole('radio', { name: 'fault of the film' }).click();
    await page.getByRole('button', { name: 'rust through, blisters' }).click();
    await bars(page).getByText('salt found', { exact: false }).first().waitFor();
    expect(await bars(page).first().textContent()).toContain('salts left in the metal');
  });
});

describe('levelling', () => {
  itInCi('says how many are to go, and when to stop', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.dome-cover/inspect');
    const panel = page.locator('section[aria-label="Levelling"]');
    await panel.getByRole('radio', { name: 'as built' }).click();
    const log = async (share: string): Promise<void> => {
      await panel.getByLabel('Still showing, %').fill(share);
      await panel.getByRole('button', { name: 'Log the cycle' }).click();
    };
    await log('42');
    await panel.getByText('About 5 more').waitFor();
    await log('20');
    await panel.getByText(/About \d more/).waitFor();
    await log('4');
    await panel.getByText('stop').last().waitFor();
    await panel.getByText('It meets the standard you set, as built').waitFor();
    expect(await violations(page)).toEqual([]);
  });
});

describe('a picture', () => {
  /** Places on the picture that are rust, and such that are paint, as an eye would choose them. */
  const places = (page: Page) =>
    page.evaluate(() => {
      const img = document.querySelector<HTMLImageElement>('[role=dialog] img')!;
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [img.naturalWidth, img.naturalHeight];
      const context = canvas.getContext('2d')!;
      context.drawImage(img, 0, 0);
      const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
      const found: Record<'rust' | 'sound', [number, number][]> = { rust: [], sound: [] };
      for (let k = 0; k < 6000; k++) {
        const x = 80 + Math.floor((k * 97.3) % (canvas.width - 160));
        const y = 150 + Math.floor((k * 61.7) % (canvas.height - 320));
        let n = 0;
        for (const dy of [-8, 0, 8])
          for (const dx of [-8, 0, 8]) {
            const i = 4 * ((y + dy) * canvas.width + x + dx);
            if (data[i]! > data[i + 1]! + 25) n += 1;
          }
        const kind = n === 9 ? 'rust' : n === 0 ? 'sound' : null;
        if (kind && found[kind].length < 6) found[kind].push([x / canvas.width, y / canvas.height]);
      }
      return found;
    });

  it('its rust share is measured, its mask approved, and kept', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/quarry.saddle-tank/inspect');
    const pictures = page.locator('section[aria-label="Pictures"]');
    await pictures.getByRole('button', { name: /^before/ }).click();
    await page.getByRole('button', { name: 'How much of it is rust?' }).click();
    const share = page.locator('section[aria-label="Rust share"]');
    await share.getByRole('button', { name: 'Measure' }).click();
    await share.getByText('Touch at least 4 spots of rust').waitFor();
    const { rust, sound } = await places(page);
    const ground = share.getByRole('img', { name: 'touch the picture' });
    const box = (await ground.boundingBox())!;
    const touch = ([x, y]: [number, number]) =>
      ground.click({ position: { x: x * box.width, y: y * box.height } });
    for (const at of rust) await touch(at);
    await share.getByRole('radio', { name: /sound paint/ }).click();
    for (const at of sound) await touch(at);
    await share.getByRole('button', { name: 'Measure' }).click();
    await share.getByAltText('what was taken for rust').waitFor();
    expect(await violations(page)).toEqual([]);
    await share.getByRole('button', { name: 'It does: log it' }).click();
    await pictures.getByText(/rust \d+\.\d %, Ri [45]/).waitFor();
  });

  itInCi(
    'is taken from a file, waits on the device while the server is away, and is there afterwards',
    async () => {
      const page = await stage.desk();
      await open(stage, page, '/parts/van.battery-tray/inspect');
      const pictures = page.locator('section[aria-label="Pictures"]');
      await page.getByText('Nothing is open on this part').waitFor();
      await page.context().setOffline(true);
      const file = 'demo/scenario/pictures/tank-after.jpg';
      await pictures.locator('input[type=file]').setInputFiles(file);
      await page.getByText('waits here and is sent again').first().waitFor();
      await page.context().setOffline(false);
      await pictures.locator('li img').first().waitFor({ timeout: 30_000 });
      expect(
        await pictures
          .locator('li img')
          .first()
          .evaluate((i: HTMLImageElement) => i.decode().then(() => i.naturalWidth)),
      ).toBeGreaterThan(0);
    },
  );

  itInCi('that is none is refused at the field, and nothing is lost', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.battery-tray/inspect');
    const pictures = page.locator('section[aria-label="Pictures"]');
    await pictures
      .locator('input[type=file]')
      .setInputFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
    await pictures.getByRole('alert').getByText('JPEG, PNG or WebP').waitFor();
  });
});
