import { describe, expect, it } from '@jest/globals';
import ICAL from 'ical.js';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { blocks, keptPlan, makePlan, openAsked } from './plans.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();

describe('what if another product', () => {
  itInCi(
    'is judged part by part, stands beside the plan without, and both are lived through by the same replays',
    async () => {
      const page = await stage.desk();
      await open(stage, page, '/plan');
      // A plan that is kept comes by itself; until it is read the page offers to make one.
      if ((await keptPlan(stage)) === null) await makePlan(page);
      await blocks(page).first().waitFor({ timeout: 60_000 });
      await openAsked(page);
      await page.getByLabel('What if in place of').selectOption({ label: 'Epoxy primer' });
      await page.getByLabel('we laid').selectOption({ label: 'Zinc-rich epoxy' });
      const form = page.locator('form', { hasText: 'What if in place of' });
      await form.getByRole('button', { name: 'Try it' }).click();
      const stop = page.getByRole('button', { name: 'Stop at this one' });
      await stop.waitFor();
      const beside = page.getByRole('region', { name: 'Side by side' });
      await page.getByText(/plans? tried so far/).waitFor({ timeout: 60_000 });
      await stop.click();
      await beside.getByText('What if: Zinc-rich epoxy in place of epoxy primer').waitFor();
      // Zinc-rich goes on steel alone (ISO 12944-5): the stainless handrails keep their epoxy.
      await beside.getByText(/keeps? what the routes say/).click();
      await beside.getByText(/^Handrails: /).waitFor();
      await beside.getByRole('button', { name: 'How sure is each?' }).click();
      await beside
        .getByText(/done four times in five by/)
        .first()
        .waitFor({ timeout: 60_000 });
      // A plan with it changes no route, and that is said.
      await page.getByText(/The routes still say Epoxy primer/).waitFor();
      await beside.getByRole('button', { name: 'Back to as it was' }).click();
      await beside.waitFor({ state: 'detached' });
      expect(await page.getByText(/The routes still say/).count()).toBe(0);
    },
  );
});

describe('who, where and what it holds', () => {
  itInCi(
    'lanes by person and place, by keys; what stands overnight; what is to be bought in time; one’s own calendar',
    async () => {
      const page = await stage.desk();
      await open(stage, page, '/plan');
      const asked = page.getByRole('button', { name: 'What is asked' });
      if ((await asked.getAttribute('aria-expanded')) === 'false') await asked.click();
      await page.getByLabel('Who comes').selectOption({ label: 'each as they said' });
      await page.getByRole('button', { name: /^Make (a plan|it again)$/ }).click();
      await page.getByText(/plans? tried so far/).waitFor({ timeout: 60_000 });
      await page.getByRole('button', { name: 'Stop at this one' }).click();
      await page.getByText(/plans? tried; this is the best/).waitFor();

      // What if one more came: both plans side by side, and never dearer; back to as it was.
      await asked.click();
      await page.getByRole('button', { name: 'To every session' }).click();
      await page.getByText(/plans? tried so far/).waitFor({ timeout: 60_000 });
      await page.getByRole('button', { name: 'Stop at this one' }).click();
      const beside = page.locator('section[aria-label="Side by side"]');
      await beside.getByText('What if: one more to every session').waitFor();
      await beside.getByRole('button', { name: 'Back to as it was' }).click();

      await page.getByRole('radio', { name: 'person' }).click();
      const ines = page.getByRole('group', { name: 'Ines', exact: true });
      const first = ines.locator('[data-plan-block]').first();
      await first.waitFor();
      // One stop for the keyboard; from it the arrows go along the lane.
      await page.locator('[data-plan-block][tabindex="0"]').first().focus();
      await page.keyboard.press('Enter');
      const chosen = page.locator('[data-plan-block][aria-pressed="true"]').first();
      await chosen.waitFor();
      const before = await chosen.getAttribute('data-plan-block');
      await page.keyboard.press('ArrowRight');
      await page.waitForFunction((id) => {
        const now = document.querySelector('[data-plan-block][aria-pressed="true"]');
        return now !== null && now.getAttribute('data-plan-block') !== id;
      }, before);
      expect(await violations(page)).toEqual([]);

      await page.getByRole('radio', { name: 'place' }).click();
      await page.getByRole('group', { name: 'Spray booth' }).locator('[data-plan-block]').first().waitFor();
      const night = page.getByRole('button', { name: /^Night after .* stands?, .* m²\. / }).first();
      const text = (await night.getAttribute('aria-label'))!;
      await night.click();
      // Its session's card says the same of the morning after.
      const name = /m²\. ([^;]+?) (until|past)/.exec(text)![1]!;
      const card = page.locator('section[aria-label="The session"]');
      await card.getByText(new RegExp(name)).first().waitFor();

      await page.getByRole('button', { name: 'Keep this plan' }).click();
      await page.getByText('The plan is kept').waitFor();
      await open(stage, page, '/shelf');
      const buy = page.locator('section[aria-label="For the plan, in time"]');
      await buy
        .getByText(/ by (Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d/)
        .first()
        .waitFor();

      // A calendar of one's own, and ended again.
      await open(stage, page, '/settings');
      await page.getByRole('button', { name: 'What Ines may do' }).click();
      const calendar = page.locator('section[aria-label="Their calendar"]');
      await calendar.getByRole('button', { name: 'Make an address' }).click();
      const url = await calendar.getByRole('textbox').inputValue();
      const feed = await (await fetch(url)).text();
      expect(new ICAL.Component(ICAL.parse(feed)).getAllSubcomponents('vevent').length).toBeGreaterThan(1);
      await calendar.getByRole('button', { name: 'End the address' }).click();
      await calendar.getByText('The address is ended').waitFor();
      expect((await fetch(url)).status).toBe(404);
    },
    180_000,
  );

  it('what the shop holds, refused and stored', async () => {
    const page = await stage.desk();
    await open(stage, page, '/settings');
    const holds = page.locator('form').filter({ hasText: 'How much it holds at once' });
    await holds.getByLabel('Hoists').fill('one and a half');
    await holds.getByRole('button', { name: 'Store what it holds' }).click();
    await holds.getByText(/Write a number/).waitFor();
    await holds.getByLabel('Hoists').fill('2');
    await holds.getByLabel(/A tub takes/).fill('88 lb');
    await holds.getByRole('button', { name: 'Store what it holds' }).click();
    await page.getByText('What the shop holds is stored').waitFor();
    const { means } = (await stage.app.call('GET', '/api/shop')).body as {
      means: { capacity: { hoists: number; bathKg: number } };
    };
    expect(means.capacity.hoists).toBe(2);
    // 88 lb are 39.916 kg (1 lb = .45359237 kg, NIST SP 811).
    expect(means.capacity.bathKg).toBeCloseTo(39.916, 2);
  }, 120_000);
});
