import { describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import { open, storyStage } from './browser.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();
const dialog = (page: Page) => page.getByRole('dialog');

describe('the server away', () => {
  itInCi(
    'a reading waits as a coat does, across a reload, and what an older page left waiting goes out too',
    async () => {
      const page = await stage.desk();
      // A page of the first version left a note waiting in the shape of its time.
      const { partId } = (await stage.app.call('GET', '/api/bench')).body.rows[0];
      const { personId } = (await stage.app.call('GET', '/api/shop')).body.people[0];
      await page.goto(`${stage.app.base}/api/ping`);
      const factId = '0b0e7c1a-5d0f-4a54-9b4e-7a4f5f1f2d11';
      await page.evaluate(
        async ([fact]) => {
          const db = await new Promise<IDBDatabase>((done, fail) => {
            const asked = indexedDB.open('calvetta-outbox', 1);
            asked.onupgradeneeded = () => asked.result.createObjectStore('waiting', { keyPath: 'factId' });
            asked.onsuccess = () => done(asked.result);
            asked.onerror = () => fail(new Error('no database'));
          });
          await new Promise((done) => {
            const tx = db.transaction('waiting', 'readwrite');
            tx.objectStore('waiting').put({ factId: fact!.factId, fact, queuedMs: 1 });
            tx.oncomplete = done;
          });
          db.close();
        },
        [
          {
            factId,
            kind: 'noted',
            partId,
            face: null,
            happenedAt: new Date(stage.nowMs() - 60_000).toISOString(),
            endedAt: null,
            personId: String(personId),
            deviceId: 'old-tablet',
            supersedes: null,
            body: { text: 'left waiting by an older page' },
            evidence: null,
          },
        ],
      );
      await page.route('**/api/facts', (route) => route.abort());
      await page.route('**/api/places/*/readings', (route) => route.abort());
      await open(stage, page, '/air/shed');
      await page.getByRole('button', { name: 'Log a reading' }).click();
      await dialog(page).getByLabel('Air').fill('11.5');
      await dialog(page).getByLabel('Humidity, %').fill('63');
      await dialog(page).getByRole('button', { name: 'Store reading' }).click();
      await page
        .getByText(/it waits here and is sent again/)
        .first()
        .waitFor();
      await page.reload();
      await page.getByText('2 waiting to be sent').waitFor();
      await page.unroute('**/api/facts');
      await page.unroute('**/api/places/*/readings');
      await page.getByText('2 waiting to be sent').waitFor({ state: 'detached' });
      const { facts } = (await stage.app.call('GET', `/api/parts/${partId}`)).body;
      expect(facts.map((f: { factId: string }) => f.factId)).toContain(factId);
      const source = (await stage.app.call('GET', '/api/source')).body;
      const readings = Object.values(source.air.places as Record<string, { recent: { airC: number }[] }>);
      expect(readings.flatMap((p) => p.recent).map((r) => r.airC)).toContain(11.5);
    },
  );
  itInCi('an older page left open holds nothing up: the new one stores all the same', async () => {
    const page = await stage.desk();
    await page.goto(`${stage.app.base}/api/ping`);
    // Held open by this page in the shape of before, as a tab from before an update does.
    await page.evaluate(
      () =>
        new Promise<void>((done, fail) => {
          const asked = indexedDB.open('calvetta-outbox', 1);
          asked.onupgradeneeded = () => asked.result.createObjectStore('waiting', { keyPath: 'factId' });
          asked.onsuccess = () => done();
          asked.onerror = () => fail(new Error('no database'));
        }),
    );
    const fresh = await page.context().newPage();
    await open(stage, fresh, '/air/shed');
    await fresh.getByRole('button', { name: 'Log a reading' }).click();
    await dialog(fresh).getByLabel('Air').fill('12');
    await dialog(fresh).getByLabel('Humidity, %').fill('60');
    await dialog(fresh).getByRole('button', { name: 'Store reading' }).click();
    await fresh.getByText(/Reading stored/).waitFor();
  });
});

describe('a reading by hand', () => {
  it('62 typed while in °C is asked, not guessed; 62 F is converted and said', async () => {
    const page = await stage.desk();
    await open(stage, page, '/air/leanto');
    await page.getByRole('button', { name: 'Log a reading' }).click();
    await dialog(page).getByLabel('Air').fill('62');
    await dialog(page).getByLabel('Humidity, %').fill('80');
    await dialog(page).getByRole('button', { name: 'Store reading' }).click();
    await dialog(page)
      .getByText(/62 ?°?F/)
      .first()
      .waitFor();
    await dialog(page).getByLabel('Air').fill('62 F');
    await dialog(page).getByLabel('Humidity, %').fill('140');
    await dialog(page).getByRole('button', { name: 'Store reading' }).click();
    await dialog(page)
      .getByText(/1 to 100/)
      .waitFor();
    await dialog(page).getByLabel('Humidity, %').fill('60');
    // 62 °F = 16.7 °C; dew point at 60 %: 8.9 °C (psychrolib 1.1.1, rounded).
    await dialog(page)
      .getByText(/8\.[89]/)
      .waitFor();
    await dialog(page).getByRole('button', { name: 'Store reading' }).click();
    await page.getByText('Reading stored: Lean-to').waitFor();
  });
  it('a CSV with one bad row keeps the good ones and names the bad one', async () => {
    const page = await stage.desk();
    await open(stage, page, '/air/shed');
    await page.getByRole('button', { name: 'Import CSV' }).click();
    await dialog(page)
      .locator('input[type=file]')
      .setInputFiles({
        name: 'logger.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('\uFEFFtime;air;rh\n01.03.2026 10:00;9,5;71\n01.03.2026 10:10;9,5;170\n'),
      });
    await dialog(page).getByRole('button', { name: 'Import', exact: true }).click();
    await dialog(page)
      .getByText(/line 3/i)
      .waitFor();
    expect(await dialog(page).innerText()).toMatch(/1 to 100/);
  });
});

describe('units and theme', () => {
  it('Fahrenheit, mil and the dark theme hold on every place', async () => {
    const page = await stage.desk();
    await open(stage, page, '/settings');
    await page.getByRole('radio', { name: '°F' }).click();
    await page.getByRole('radio', { name: 'mil', exact: true }).click();
    await page.getByRole('radio', { name: 'night and booth' }).click();
    await open(stage, page, '/parts/quarry.main-frame-left');
    expect(await page.locator('main').innerText()).toMatch(/°F[\s\S]*mil|mil[\s\S]*°F/);
    expect(await page.evaluate(() => document.documentElement.dataset['theme'])).toBe('dark');
  });
});
