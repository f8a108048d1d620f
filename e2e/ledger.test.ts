import { describe, expect, it } from '@jest/globals';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();

describe('the record along time', () => {
  it('is narrowed by words and marks, by a touch on a lane, and given back whole', async () => {
    const page = await stage.desk();
    await open(stage, page, '/ledger');
    const count = page.locator('p strong').first();
    await page.getByRole('list', { name: 'Entries' }).getByRole('listitem').first().waitFor();
    const all = Number(await count.textContent());
    expect(await violations(page)).toEqual([]);
    await page.getByLabel('Words').fill('rudder');
    await page.waitForFunction((n) => Number(document.querySelector('p strong')?.textContent) < n, all);
    for (const text of await page.getByRole('list', { name: 'Entries' }).getByRole('link').allTextContents())
      expect(text).toBe('Rudder');
    await page.getByRole('button', { name: 'coats' }).click();
    await page.getByRole('list', { name: 'Entries' }).getByText('Two-pack gloss').first().waitFor();
    await page.getByText('4 entries', { exact: true }).waitFor();
    // Opened, an entry says when it was written, on what, and its link.
    const first = page.getByRole('list', { name: 'Entries' }).getByRole('listitem').first();
    await first.getByRole('button').click();
    await first.getByText('Written down').waitFor();
    await first.getByText(/^\d+, [0-9a-f]{32}/).waitFor();
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'all of it' }).click();
    await page.getByText(`${all} entries`).waitFor();
    // The end of a lane holds its newest entries.
    const lane = page.getByRole('img', { name: /^Fenland/ });
    const box = (await lane.boundingBox())!;
    await lane.click({ position: { x: box.width - 3, y: 30 } });
    await page.getByText(/entries, .* to /).waitFor();
    for (const text of await page
      .getByRole('list', { name: 'Entries' })
      .getByRole('listitem')
      .allTextContents())
      expect(text).toContain('Fenland 30 crawler');
  });
});

describe('recall', () => {
  itInCi('names every part that carries a batch, however it is typed', async () => {
    const page = await stage.desk();
    await open(stage, page, '/ledger?view=recall');
    await page.getByLabel('Batch').fill('lot b-4');
    await page.getByRole('button', { name: 'Which parts carry it?' }).click();
    const carry = page.getByRole('region', { name: 'Carry it' });
    await carry.getByRole('link', { name: 'Rudder' }).first().waitFor();
    expect(await violations(page)).toEqual([]);
    await page.getByLabel('Batch').fill('no such');
    await page.getByRole('button', { name: 'Which parts carry it?' }).click();
    await page.getByText('Nobody noted a batch no such').waitFor();
    await page.getByRole('button', { name: 'B4', exact: true }).click();
    await carry.waitFor();
  });
});

describe('hours', () => {
  it('are clocked on a part over every screen, logged when it is stopped, and stand in the ledger', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.chassis-rail-right');
    const hours = page.getByRole('region', { name: 'Hours' });
    await hours.getByLabel('At what').selectOption('finish');
    await hours.getByRole('button', { name: 'Start the clock' }).click();
    const clock = page.getByRole('region', { name: 'Running clock' });
    await clock.getByText('flatting, polishing, baking').waitFor();
    await page.reload();
    await clock.getByText('Chassis rail, right').waitFor();
    expect(await violations(page)).toEqual([]);
    await clock.getByRole('button', { name: 'Stop and log' }).click();
    await clock.waitFor({ state: 'detached' });
    const facts = (await stage.app.call('GET', '/api/parts/van.chassis-rail-right')).body.facts as {
      kind: string;
      body: object;
    }[];
    const logged = facts.find((f) => f.kind === 'worked' && 'on' in f.body && f.body.on === 'finish');
    const { minutes } = logged!.body as { minutes: number };
    // A minute at least; as many as it ran.
    expect(minutes).toBeGreaterThanOrEqual(1);
    expect(minutes).toBeLessThan(6);
    await open(stage, page, '/ledger?view=hours');
    await page.getByRole('region', { name: 'Jobs' }).getByText('flatting, polishing, baking').waitFor();
    expect(await violations(page)).toEqual([]);
  });
  itInCi('a clock that was forgotten asks how long it was', async () => {
    const page = await stage.desk();
    await page.addInitScript(() => {
      localStorage['calvetta-timer'] ??= JSON.stringify({
        state: {
          running: {
            partId: 'van.chassis-rail-right',
            partName: 'Chassis rail, right',
            on: 'strip',
            sinceMs: Date.now() - 14 * 3_600_000,
          },
        },
        version: 0,
      });
    });
    await open(stage, page, '/');
    const clock = page.getByRole('region', { name: 'Running clock' });
    const stop = clock.getByRole('button', { name: 'Stop and log' });
    expect(await stop.isDisabled()).toBe(true);
    await clock.getByLabel(/It ran longer than an evening/).fill('95');
    await stop.click();
    await clock.waitFor({ state: 'detached' });
    const facts = (await stage.app.call('GET', '/api/parts/van.chassis-rail-right')).body.facts as {
      kind: string;
      body: object;
    }[];
    expect(facts.filter((f) => f.kind === 'worked').map((f) => f.body)).toContainEqual({
      on: 'strip',
      minutes: 95,
    });
  });
});

describe('whether the record is whole', () => {
  itInCi(
    'is worked out, with an end that was written down, and a wrong end is said to be missing',
    async () => {
      const page = await stage.desk();
      await open(stage, page, '/ledger?view=whole');
      await page.getByRole('button', { name: 'Work it out' }).click();
      const said = page.getByRole('status').filter({ hasText: 'links' });
      await said.getByText('Whole').waitFor();
      const end = (await said.locator('.figure').last().textContent())!;
      await page.getByLabel('An end that you wrote down').fill(end);
      await page.getByRole('button', { name: 'Work it out' }).click();
      await said.getByText(/Your end is link \d+/).waitFor();
      await page.getByLabel('An end that you wrote down').fill('0123456789abcdef0123456789abcdef');
      await page.getByRole('button', { name: 'Work it out' }).click();
      await said.getByText('Not whole').waitFor();
      expect(await violations(page)).toEqual([]);
      await page.getByLabel('An end that you wrote down').fill('abc');
      await page.getByRole('button', { name: 'Work it out' }).click();
      await page
        .getByText(/32 or 64 of 0…9/)
        .last()
        .waitFor();
    },
  );
});
