import { describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import type { PartDetail } from '@calvetta/contract';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';

const stage = storyStage();

const coatsOf = async (partId: string) =>
  ((await stage.app.call('GET', `/api/parts/${partId}`)).body as PartDetail).facts.flatMap((f) =>
    f.kind === 'coated' && f.isStanding ? [f] : [],
  );
const line = (page: Page, name: string) => page.locator('ul[aria-label="The rack"] li', { hasText: name });
/** What the rack keeps on the device, with every flash over: a test does not wait twenty minutes. */
const flashesOver = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const kept = JSON.parse(localStorage['calvetta-run']) as {
      state: { rack: { parts: { readyMs: number | null }[] } };
    };
    for (const p of kept.state.rack.parts) p.readyMs = Date.now() - 1000;
    localStorage['calvetta-run'] = JSON.stringify(kept);
  });

describe('a gun-load without a plan: two passes on two parts, logged by touch', () => {
  it('pulls a rack together, counts flashes, and puts each coat on record with its last pass', async () => {
    const page = await stage.desk();
    await open(stage, page, '/');
    await page.getByRole('link', { name: 'pull a gun-load together' }).click();
    const paint = page.getByLabel('Paint');
    const option = (await paint.locator('option').allTextContents()).find((t) =>
      t.startsWith('Epoxy mastic'),
    )!;
    await paint.selectOption({ label: option });
    // Two stay on the rack.
    const boxes = page.locator('ul[aria-label="On the rack"] input');
    const names = (await page.locator('ul[aria-label="On the rack"] .font-semibold').allTextContents()).slice(
      0,
      2,
    );
    for (let i = (await boxes.count()) - 1; i >= 2; i--) await boxes.nth(i).uncheck();
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'Begin with 2 parts' }).click();

    const [first, second] = names as [string, string];
    const partIds = Object.fromEntries(
      ((await stage.app.call('GET', '/api/bench')).body.rows as { name: string; partId: string }[]).map(
        (r) => [r.name, r.partId],
      ),
    );
    const before = (await coatsOf(partIds[first]!)).length;
    // The first pass on each: then both flash, and nothing can be sprayed.
    const next = page.locator('section[aria-label="Next"]');
    for (const name of [first, second]) {
      await page.getByRole('button', { name: `Sprayed: ${name}` }).click();
      await line(page, name).getByLabel('1 of 2 passes').waitFor();
      await line(page, name)
        .getByText(/^\d+:\d\d$/)
        .waitFor();
    }
    await next.getByText(/flashes \d+:\d\d more/).waitFor();
    expect(await next.getByRole('button', { name: 'Sprayed' }).isDisabled()).toBe(true);
    expect((await coatsOf(partIds[first]!)).length).toBe(before);
    expect(await violations(page)).toEqual([]);

    // It stands on the device: loaded again, nothing of it is lost. The flashes are over by then.
    await flashesOver(page);
    await page.reload();
    await line(page, first).getByText('ready').waitFor();
    await page.getByRole('button', { name: `Sprayed: ${first}` }).click();
    await page.getByText(`Coated: ${first}`).waitFor();
    const coats = await coatsOf(partIds[first]!);
    expect(coats).toHaveLength(before + 1);
    const coat = coats[0]!;
    expect(coat.body).toMatchObject({ tool: 'gun' });
    // From the start of its first pass to the end of its last.
    expect(coat.endedAtMs!).toBeGreaterThanOrEqual(coat.happenedAtMs);
    await page.getByText('1 of 2 parts coated').waitFor();

    // The second has enough on with one pass, while the network is gone: it waits here and goes out by itself.
    await page.context().setOffline(true);
    await page.getByRole('button', { name: `${second} has enough on: log its coat` }).click();
    await page.getByText(/it waits here/).waitFor();
    await page.getByText('Every coat of this rack is on.').waitFor();
    const had = (await coatsOf(partIds[second]!)).length;
    await page.context().setOffline(false);
    for (let i = 0; i < 60 && (await coatsOf(partIds[second]!)).length === had; i++)
      await page.waitForTimeout(250);
    expect((await coatsOf(partIds[second]!)).length).toBe(had + 1);
    // What it took, by two: an entry for each part, with its share.
    await page.getByLabel('How many were at it').fill('2');
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'Log its hours' }).click();
    await page.getByText('Its hours are logged.').waitFor();
    const minutesOf = async (name: string): Promise<number> => {
      const { facts } = (await stage.app.call('GET', `/api/parts/${partIds[name]!}`)).body;
      const worked = facts.filter((f: any) => f.kind === 'worked' && f.body.hands === 2);
      expect(worked).toHaveLength(1);
      return worked[0].body.minutes;
    };
    // Two pairs of hands for a minute at least, each part its own share of it.
    const [a, b] = [await minutesOf(first), await minutesOf(second)];
    expect(a + b).toBeGreaterThanOrEqual(1.9);
    expect(Math.min(a, b)).toBeLessThan(a + b - 0.1);
    await page.getByRole('button', { name: 'End the run' }).click();
    await page.getByRole('heading', { name: 'A gun-load' }).waitFor();
  }, 120_000);

  it('what has passes on and no coat on record is not forgotten by a touch', async () => {
    const page = await stage.phone();
    await open(stage, page, '/run');
    await page.getByRole('button', { name: /^Begin with/ }).tap();
    const name = await page.locator('section[aria-label="Next"] p').first().innerText();
    await page.locator('section[aria-label="Next"]').getByRole('button', { name: 'Sprayed' }).tap();
    await page.getByRole('button', { name: 'End the run' }).tap();
    await page.getByText(`${name}: passes are on, and no coat is on record.`).waitFor();
    await page.getByRole('button', { name: 'Log what is on' }).tap();
    await page.getByText(`Coated: ${name}`).waitFor();
    // What is said stands below the page, never on the button that comes next.
    const [said, main] = await Promise.all([
      page.getByRole('status').filter({ hasText: 'Coated: ' }).boundingBox(),
      page.locator('main').boundingBox(),
    ]);
    expect(said!.y).toBeGreaterThanOrEqual(main!.y + main!.height);
    await page.getByRole('button', { name: 'Undo' }).first().tap();
    await page.getByText(`Undone: ${name}`).waitFor();
  }, 60_000);
});
