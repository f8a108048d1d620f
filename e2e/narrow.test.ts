import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { SCREENS } from './accessible.ts';
import { factInput } from '../server/src/test/testApp.ts';
import { go, open, rowOf, startStage, type Stage } from './browser.ts';
import { itInCi } from '../server/src/test/inCi.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterAll(() => stage.close());

describe('narrow screens', () => {
  it('on a small tablet the Bench keeps its act on the page', async () => {
    const page = await stage.desk();
    await page.setViewportSize({ width: 768, height: 1024 });
    await open(stage, page, '/');
    const act = page.locator('[data-part] button').first();
    await act.waitFor();
    const box = (await act.boundingBox())!;
    expect(box.x + box.width).toBeLessThanOrEqual(768);
    expect(box.width).toBeGreaterThan(60);
    await page.close();
  }, 60_000);
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

describe('a form, on a phone', () => {
  it('opens at its top, though the button to press has the focus: name and cautions come first', async () => {
    const page = await stage.phone();
    await open(stage, page, '/');
    await page.getByRole('button', { name: 'Coat now' }).first().tap();
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: 'Coated: log it' }).waitFor();
    // It is longer than the phone is high.
    expect(await dialog.evaluate((d) => d.scrollHeight > d.clientHeight)).toBe(true);
    expect(await dialog.evaluate((d) => d.scrollTop)).toBe(0);
  });
});

describe('Back, on a phone', () => {
  it('closes what lies over the page and leaves the page; and then goes where one came from', async () => {
    const page = await stage.phone();
    await open(stage, page, '/ledger');
    await open(stage, page, '/parts/quarry.main-frame-left');
    const at = (): string => new URL(page.url()).pathname;
    const dialog = page.getByRole('dialog');
    await page.getByRole('button', { name: 'Why?' }).tap();
    await dialog.waitFor();
    await page.goBack();
    await dialog.waitFor({ state: 'detached' });
    expect(at()).toBe('/parts/quarry.main-frame-left');
    // Closed by its own button it leaves nothing behind that Back would stop at.
    for (let i = 0; i < 2; i++) {
      await page.getByRole('button', { name: 'Why?' }).tap();
      await dialog.getByRole('button', { name: 'Close' }).tap();
      await dialog.waitFor({ state: 'detached' });
    }
    await page.goBack();
    await page.getByRole('heading', { name: 'Ledger', level: 1 }).waitFor();
    expect(at()).toBe('/ledger');
    // Out of a dialog to another screen, and back: where the dialog was opened.
    await page.keyboard.press('/');
    await dialog.getByLabel('What to find').fill('cylinder block');
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Cylinder block' }).waitFor();
    await page.goBack();
    await page.getByRole('heading', { name: 'Ledger', level: 1 }).waitFor();
    expect([at(), await dialog.count()]).toEqual(['/ledger', 0]);
    await page.goForward();
    await page.getByRole('heading', { name: 'Cylinder block' }).waitFor();
    expect(await dialog.count()).toBe(0);
  });
});

describe('what a page is called, and how it is got past and printed', () => {
  it('the tab says the place and the part; Tab and Enter skip the rail', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/pump.cylinder-block');
    expect(await page.title()).toBe('Cylinder block · Twin-cylinder pump engine · Calvetta');
    await go(page, '/air/leanto');
    expect(await page.title()).toMatch(/ · Air · Calvetta$/);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
    expect(await page.evaluate(() => document.activeElement?.id)).toBe('main');
    await page.close();
  }, 60_000);
  itInCi(
    'Reference prints whole, on several sheets, without the rail',
    async () => {
      const page = await stage.desk();
      await open(stage, page, '/reference');
      await page.getByRole('region', { name: 'Formulas' }).waitFor();
      await page.emulateMedia({ media: 'print' });
      expect(await page.getByRole('navigation', { name: 'Places' }).isVisible()).toBe(false);
      const sheets = (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type \/Page\b/g) ?? [];
      expect(sheets.length).toBeGreaterThan(5);
      await page.close();
    },
    60_000,
  );
});

describe('eight tabs of one browser', () => {
  // A browser opens six connections to one server over plain HTTP: a line for each tab would leave none for the seventh.
  itInCi(
    'share one line, and all of them see at once what is written elsewhere',
    async () => {
      const first = await stage.desk();
      const lines: string[] = [];
      first.context().on('request', (r) => r.url().endsWith('/api/live') && lines.push(r.url()));
      await open(stage, first, '/');
      const tabs = [first];
      while (tabs.length < 8) {
        const tab = await first.context().newPage();
        await open(stage, tab, '/');
        tabs.push(tab);
      }
      // One that is closed hands its line on; two may take it at the same look.
      expect(lines.length).toBeLessThanOrEqual(3);
      await tabs.shift()!.close();
      const onBench = (await stage.app.call('GET', '/api/bench')).body.rows.map((r: any) => r.partId);
      const { machines } = (await stage.app.call('GET', '/api/machines')).body;
      const parts = machines.flatMap((m: any) => m.assemblies.flatMap((a: any) => a.parts));
      const { partId } = parts.find((p: any) => !onBench.includes(p.partId));
      const at = { happenedAt: new Date(stage.nowMs()).toISOString() };
      const stripped = factInput('stripped', partId, 0, { method: 'blast' }, at);
      expect((await stage.app.post('/api/facts', { facts: [stripped] })).status).toBe(201);
      for (const tab of tabs) await rowOf(tab, partId).waitFor();
    },
    120_000,
  );
});
