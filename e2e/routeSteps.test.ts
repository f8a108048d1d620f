import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import { bringNew, surveyedRail } from './survey.ts';

const stage = storyStage(bringNew);

async function waitUntil(is: () => Promise<boolean>): Promise<void> {
  for (let i = 0; i < 40; i++) {
    if (await is()) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  expect(await is()).toBe(true);
}

describe('a route in the hands', () => {
  it('an edited route is judged live; against a rule it needs a reason, and the reason is in the history', async () => {
    const page = await stage.desk();
    await surveyedRail(stage, page);
    await page.getByRole('button', { name: 'Edit steps' }).first().click();
    await page.getByText('No rule is against it.').waitFor();
    await page.getByRole('button', { name: 'Take step 1 out' }).click();
    await page.getByText(/Degrease before any abrasive/).waitFor();
    expect(await page.getByRole('button', { name: 'Set it against the rules' }).isDisabled()).toBe(true);
    await page.getByLabel('Why it is done all the same').fill('came clean from the washer');
    await page.getByRole('button', { name: 'Set it against the rules' }).click();
    await page.getByRole('heading', { name: 'New rail' }).waitFor();
    await page
      .locator('section[aria-label="History"]')
      .getByText(/against a rule.*came clean from the washer/)
      .first()
      .waitFor();
  });
  it('steps are taken in hand by keys and by pointer, and every change is taken back', async () => {
    const page = await stage.desk();
    await surveyedRail(stage, page);
    await page.getByRole('button', { name: 'Edit steps' }).first().click();
    const rows = page.getByRole('dialog').locator('ol > li');
    const order = () =>
      rows.allInnerTexts().then((all) => all.map((t) => t.replace(/^\d+\s*/, '').split('\n')[0]));
    const before = await order();
    // By keys: Space takes it, an arrow carries it, Space lays it down.
    await page.getByRole('button', { name: 'Take step 1 in hand' }).focus();
    await page.keyboard.press('Space');
    await page.waitForTimeout(150);
    await page.keyboard.press('ArrowDown');
    await page.waitForTimeout(150);
    await page.keyboard.press('Space');
    await waitUntil(async () => (await order())[1] === before[0]);
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await order()).toEqual(before);
    // By pointer.
    const from = (await page.getByRole('button', { name: 'Take step 3 in hand' }).boundingBox())!;
    const to = (await page.getByRole('button', { name: 'Take step 1 in hand' }).boundingBox())!;
    await page.mouse.move(from.x + 8, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(to.x + 8, to.y + 20, { steps: 8 });
    await page.mouse.move(to.x + 8, to.y + 4, { steps: 4 });
    await page.mouse.up();
    await waitUntil(async () => (await order())[0] === before[2]);
    await page.keyboard.press('Control+z');
    expect(await order()).toEqual(before);
    // Kept under a name, they come in hand again on another part, with that part's own hours.
    await page.getByRole('button', { name: 'keep these steps as a template' }).click();
    await page.getByLabel('Name of the template').fill('rail as we do it');
    await page.getByRole('dialog').getByRole('button', { name: 'Keep', exact: true }).click();
    await page.getByText('Kept as "rail as we do it"').waitFor();
    await open(stage, page, '/parts/van.new-plate/route');
    await page
      .getByLabel('Start from a template')
      .selectOption({ label: 'rail as we do it, with its steps' });
    await page.getByRole('dialog').getByText('No rule is against it.').waitFor();
    expect(await order()).toEqual(before);
  });
});
