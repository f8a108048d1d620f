import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { violations } from './accessible.ts';
import { startStage, type Stage } from './browser.ts';
import { ownShop } from './ownShop.ts';
import { itInCi } from '../server/src/test/inCi.ts';

let stage: Stage;
const fresh = async (): Promise<void> => {
  stage = await startStage({ empty: true });
};

describe('an empty Calvetta', () => {
  beforeAll(fresh, 120_000);
  afterAll(() => stage.close());

  it('is begun by thumb on a phone, and says what can be coated, with few touches', async () => {
    const page = await stage.phone();
    await page.goto(stage.app.base);
    await page.getByRole('heading', { name: 'Start here' }).waitFor();
    expect(await violations(page)).toEqual([]);
    const { touches, fields } = await ownShop(stage, page, true);
    // Ten minutes of a person: a touch is about 3 s and a field 8 s (common practice, no published source).
    expect(touches * 3 + fields * 8).toBeLessThan(600);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }, 180_000);

  it('the twelve parts took less than five minutes of it: one field, three touches', async () => {
    const { body } = await stage.app.call('GET', '/api/machines');
    const parts = body.machines[0].assemblies.flatMap((a: any) => a.parts);
    expect(parts).toHaveLength(12);
    const metal = (name: string): string => parts.find((p: any) => p.name === name).substrate;
    expect([metal('Drum'), metal('Gear guard'), metal('Handle'), metal('Pawl')]).toEqual([
      'grey-iron',
      'aluminium-cast',
      'copper-alloy',
      'cast-steel',
    ]);
    const left = parts.find((p: any) => p.name === 'Frame left');
    expect((await stage.app.call('GET', `/api/parts/${left.partId}`)).body.pairPartId).not.toBeNull();
  });

  it('a step is recorded by who did it and how it came out; what nobody wrote down says so and can be put in', async () => {
    const page = await stage.desk();
    await page.goto(`${stage.app.base}/machines`);
    await page.getByRole('link', { name: /Frame left/ }).click();
    const route = page.getByRole('region', { name: 'Route' });
    const step = (name: string) => route.getByRole('listitem').filter({ hasText: name }).first();
    // Stripped, and nothing before it was logged: that is not recorded, and is not taken for done.
    await step('Degrease').getByText('not recorded').waitFor();
    await step('Strip to sound metal').getByText('Rui').waitFor();
    await step('Degrease').getByRole('button', { name: 'Log: Degrease' }).click();
    await page.getByRole('button', { name: 'Log degreasing' }).click();
    await page.getByRole('dialog', { name: 'Who are you?' }).getByRole('button', { name: 'Rui' }).click();
    await step('Degrease').getByText('Rui').waitFor();
    const wash = step('Wash');
    await wash.getByRole('button', { name: 'Log: Wash' }).click();
    await page.getByLabel('What was found').fill('water ran off in a sheet');
    await page.getByRole('radio', { name: 'done, time not known' }).click();
    await page.getByRole('button', { name: 'Done, it passed' }).click();
    await wash.getByText('water ran off in a sheet').waitFor();
    await wash.getByText('passed · Rui, time not known').waitFor();
  }, 60_000);

  it('a strip that is logged is held against the metal: a bath for iron on aluminium is asked about, with its rule', async () => {
    const page = await stage.desk();
    await page.goto(`${stage.app.base}/machines`);
    await page.getByRole('link', { name: /Gear guard/ }).click();
    await page.getByRole('button', { name: 'Log…' }).click();
    await page.getByLabel('What was done').selectOption({ label: 'Stripped' });
    const doubt = page.getByRole('alert').filter({ hasText: 'Was it really that?' });
    await page.getByRole('radio', { name: 'bath' }).click();
    await doubt.getByRole('link', { name: 'strip.metals' }).waitFor();
    await page.getByRole('radio', { name: 'blast' }).click();
    await doubt.waitFor({ state: 'detached' });
    await page.close();
  }, 60_000);

  it('many parts are moved in one act, one is left out, and one undo takes it back', async () => {
    const page = await stage.desk();
    await page.goto(`${stage.app.base}/machines`);
    await page.getByLabel('All of Parts').click();
    await page.getByRole('button', { name: 'Move', exact: true }).click();
    // Somebody else's device: who does it is asked once.
    await page.getByRole('button', { name: 'Handle', exact: true }).click();
    await page.getByRole('radio', { name: 'Long shed' }).click();
    await page.getByRole('button', { name: 'Log move' }).click();
    await page.getByRole('dialog', { name: 'Who are you?' }).getByRole('button', { name: 'Rui' }).click();
    await page.getByText('Moved: 11 parts').waitFor();
    const placed = async (): Promise<number> => {
      const { body } = await stage.app.call('GET', '/api/machines');
      return body.machines[0].assemblies[0].parts.filter((p: any) => p.placeId !== null).length;
    };
    expect(await placed()).toBe(11);
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('Undone: 11 parts').waitFor();
    expect(await placed()).toBe(1);
  }, 60_000);

  itInCi(
    'what was made is renamed where it stands, moved by keys, put away and brought back',
    async () => {
      const page = await stage.desk();
      await page.goto(`${stage.app.base}/machines`);
      await page.getByRole('button', { name: 'Name of the assembly: Parts. Rename' }).click();
      await page.keyboard.type('Winch frame');
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: 'Name of the assembly: Winch frame. Rename' }).waitFor();
      const first = (): Promise<string | null> => page.locator('li a[data-part]').first().textContent();
      expect(await first()).toContain('Frame left');
      await page.getByRole('button', { name: 'What to do with Frame left' }).focus();
      await page.keyboard.press('Enter');
      await page.getByRole('menuitem', { name: 'Move down' }).focus();
      await page.keyboard.press('Enter');
      await page.getByText('Moved: Frame left').waitFor();
      await page.waitForFunction(() =>
        document.querySelector('li a[data-part]')?.textContent.includes('Frame right'),
      );
      // And carried back by its handle: Space takes it, an arrow carries it, Space lays it down.
      await page.getByRole('button', { name: 'Take Frame left in hand' }).focus();
      for (const key of ['Space', 'ArrowUp', 'Space']) {
        await page.keyboard.press(key);
        await page.waitForTimeout(200);
      }
      await page.getByText('Moved: Frame left').last().waitFor();
      await page.waitForFunction(() =>
        document.querySelector('li a[data-part]')?.textContent.includes('Frame left'),
      );
      await page.reload();
      await page.locator('li a[data-part]').first().waitFor();
      expect(await first()).toContain('Frame left');
      // Frame left has a record: it is put away and comes back. A part without one is deleted.
      for (const [name, said] of [
        ['Frame left', 'Put away: Frame left. Its record is kept.'],
        ['Handle', 'Deleted: Handle. Nothing was recorded of it.'],
      ] as const) {
        await page.getByRole('button', { name: `What to do with ${name}` }).click();
        await page.getByRole('menuitem', { name: 'Remove' }).click();
        await page.getByText(said).waitFor();
      }
      await page.getByText('Put away: 1').click();
      await page.getByRole('button', { name: 'Bring back Frame left' }).click();
      await page.getByText('Back again: Frame left').waitFor();
      await page.locator('li a[data-part]').filter({ hasText: 'Frame left' }).waitFor();
      expect(await page.locator('li a[data-part]').count()).toBe(11);
    },
    60_000,
  );

  it('goes out as a file and comes in again on the first page of another, whole; a file that is none is refused', async () => {
    const { body: file } = await stage.app.call('GET', '/api/export');
    const other = await startStage({ empty: true });
    try {
      const page = await other.desk();
      await page.goto(other.app.base);
      await page.getByRole('button', { name: 'Bring a shop file', exact: true }).click();
      const bring = (content: string | Buffer, name = 'shop.json') =>
        page.getByLabel('The file').setInputFiles({
          name,
          mimeType: 'application/json',
          buffer: Buffer.from(content as string),
        });
      await bring('{"format": ');
      await page.getByText('line 1 cannot be read as JSON', { exact: false }).waitFor();
      await bring(JSON.stringify({ ...file, workshop: { ...file.workshop, zone: 'Nowhere' } }));
      await page.getByText('workshop.zone', { exact: false }).waitFor();
      await bring(gzipSync('{}'), 'calvetta.ndjson.gz');
      await page.getByText('put it back with bin/restore', { exact: false }).waitFor();
      await bring(JSON.stringify(file));
      await page.getByRole('heading', { name: 'What can be coated' }).waitFor();
      const { body: again } = await other.app.call('GET', '/api/export');
      expect({ ...again, asOf: null }).toEqual({ ...file, asOf: null });
    } finally {
      await other.close();
    }
  }, 120_000);
});
