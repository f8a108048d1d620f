import { describe, expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { blocks, keptPlan, makePlan, openAsked } from './plans.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();

describe('plan a machine to a date, move work, lose an evening, keep it', () => {
  it('the whole of it', async () => {
    const page = await stage.desk();
    await open(stage, page, '/plan');
    // Ticked already: the machine with most to do. A date is given to it.
    await page.getByLabel('Quarry tank No. 4 is due').fill('2026-05-23');
    await makePlan(page);
    expect(await page.getByRole('heading', { name: 'Plan' }).count()).toBe(1);
    await page.getByText(/cannot be before/).waitFor();
    expect(await violations(page)).toEqual([]);

    // A session is a card in the order of its work, with the gun-load that it is.
    const card = page.locator('section[aria-label="The session"]');
    await page.locator('button[aria-label^="Session "]').nth(1).click();
    await card
      .getByText(/by gun: \d\d:\d\d–\d\d:\d\d with setting up and cleaning/)
      .first()
      .waitFor();

    // Work is chosen, says why it is not earlier, and is moved by a key to the next session.
    const coat = page.locator('[data-plan-block^="quarry.front-buffer-beam/topcoat"]').first();
    const opId = (await coat.getAttribute('data-plan-block'))!;
    const before = await coat.getAttribute('aria-label');
    await coat.click();
    const work = page.locator('section[aria-label="The chosen work"]');
    await work.getByText(/^Not earlier: /).waitFor();
    await page.keyboard.press('Shift+ArrowRight');
    const isPinned = work.getByRole('button', { name: 'Take the pin out' });
    const instead = work.getByRole('button', { name: /^Move it to/ });
    await isPinned.or(instead).waitFor({ timeout: 30_000 });
    if (await instead.count()) await instead.click();
    await isPinned.waitFor({ timeout: 30_000 });
    expect(await page.locator(`[data-plan-block="${opId}"]`).first().getAttribute('aria-label')).not.toBe(
      before,
    );

    // Nobody comes one evening: both plans side by side, and back.
    await page.locator('button[aria-label^="Session "]').nth(2).click();
    await card.getByRole('button', { name: 'What if nobody comes then?' }).click();
    const beside = page.locator('section[aria-label="Side by side"]');
    await page.getByRole('button', { name: 'Stop at this one' }).click();
    await beside.getByText('gun-loads').waitFor();
    await beside.getByRole('button', { name: 'Back to as it was' }).click();
    await isPinned.waitFor();

    // Kept: by whom is known, the calendar has it, the Bench says when.
    await page.getByRole('button', { name: 'Keep this plan' }).click();
    await page.getByText('The plan is kept').waitFor();
    const stored = await keptPlan(stage);
    expect(stored).toMatchObject({ version: 1, personId: 'ines' });
    expect(stored!.ask.machines).toEqual([{ machineId: 'quarry', dueDay: '2026-05-23', weight: 1 }]);
    expect(stored!.ask.pins.map((p) => p.opId)).toEqual([opId]);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'For a calendar' }).click(),
    ]);
    const events = new ICAL.Component(
      ICAL.parse(readFileSync(await download.path(), 'utf8')),
    ).getAllSubcomponents('vevent');
    expect(events.length).toBeGreaterThan(5);
    await open(stage, page, '/parts/quarry.front-buffer-beam');
    await page.getByRole('link', { name: /^planned / }).waitFor();

    // Loaded again it is there, and holds.
    await open(stage, page, '/plan');
    await blocks(page).first().waitFor();
    await page.getByText(/^Kept /).waitFor();
    expect(await page.getByText('does not hold').count()).toBe(0);
    expect(await page.getByRole('button', { name: 'Keep this plan' }).count()).toBe(0);
  }, 240_000);

  it('somebody else keeps one meanwhile: said, theirs holds, and what is asked here stays', async () => {
    const page = await stage.desk();
    await open(stage, page, '/plan');
    await blocks(page).first().waitFor();
    await openAsked(page);
    await page.getByLabel('Quarry tank No. 4 is due').fill('2026-06-20');
    const holds = (await keptPlan(stage))!;
    const theirs = {
      planId: 'a0000000-0000-4000-8000-000000000001',
      version: holds.version,
      personId: 'ruth',
      ask: holds.ask,
      plan: { ...holds.plan, items: holds.plan.items.slice(0, 5) },
    };
    expect((await stage.app.post('/api/plan', theirs)).status).toBe(201);
    const told = page.getByText(/^Ruth kept another plan/);
    await told.waitFor();
    expect(await page.getByLabel('Quarry tank No. 4 is due').inputValue()).toBe('2026-06-20');
    // Looked at, it stands here too.
    await page.getByRole('button', { name: 'Drop this, see theirs' }).click();
    await told.waitFor({ state: 'detached' });
    await page.getByText(/^Kept /).waitFor();
    await openAsked(page);
    expect(await page.getByLabel('Quarry tank No. 4 is due').inputValue()).toBe('2026-05-23');
  });

  itInCi(
    'a page that did not hear of theirs is told at its own touch, and may keep its own in its place',
    async () => {
      const page = await stage.desk();
      // Cut off from what happens elsewhere.
      await page.route('**/api/live**', (r) => r.abort());
      await open(stage, page, '/plan');
      await blocks(page).first().waitFor();
      await openAsked(page);
      await page.getByLabel('Quarry tank No. 4 is due').fill('2026-06-20');
      await page.getByRole('button', { name: 'Make it again' }).click();
      await page.getByText(/plans? tried so far/).waitFor();
      await page.getByRole('button', { name: 'Stop at this one' }).click();
      const { version, ask, plan } = (await keptPlan(stage))!;
      const planId = 'a0000000-0000-4000-8000-000000000002';
      const sent = { planId, version, personId: 'ruth', ask, plan };
      expect((await stage.app.post('/api/plan', sent)).status).toBe(201);
      await page.getByRole('button', { name: 'Keep this plan' }).click();
      await page.getByText(/^Somebody kept another plan meanwhile/).waitFor();
      await page.getByRole('button', { name: 'Keep this one in its place' }).click();
      await page.getByText('The plan is kept').waitFor();
      expect(await keptPlan(stage)).toMatchObject({ version: version + 2, personId: 'ines' });
    },
    120_000,
  );
});

describe('the plan by touch, 390 wide', () => {
  it('says first what the next session does, and a part without a plan says why', async () => {
    const page = await stage.phone();
    await open(stage, page, '/plan');
    await page.locator('section[aria-label="The session"]').waitFor();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
    await page.getByRole('button', { name: 'What is asked' }).tap();
    await page.getByLabel('Plan Twin-cylinder pump engine').check();
    await page.getByRole('button', { name: 'Make it again' }).tap();
    await page.getByText(/plans? tried so far/).waitFor({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Stop at this one' }).tap();
    await page.locator('summary', { hasText: 'not wholly planned' }).tap();
    await page.getByText('Test the film first.').waitFor();
  }, 120_000);
});
