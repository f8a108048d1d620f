import { afterAll, afterEach, beforeAll, describe, expect, it } from '@jest/globals';
import { open, startStage, type Stage } from './browser.ts';
import { answer, bringNew, onSheet, refused, rivals, surveyedRail } from './survey.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
  await bringNew(stage);
}, 120_000);
afterEach(() => stage.closePages());
afterAll(() => stage.close());

async function waitUntil(is: () => Promise<boolean>): Promise<void> {
  for (let i = 0; i < 40; i++) {
    if (await is()) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  expect(await is()).toBe(true);
}

describe('choose a route', () => {
  it('a blank survey has no route and says what to answer; answering opens routes', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.new-rail/route');
    await page.getByText('No route holds yet').waitFor();
    await page.getByText('these move the answer most').waitFor();
    await surveyedRail(stage, page);
    expect((await rivals(page)).length).toBeGreaterThan(2);
  });
  it('a phosphated chassis part: zinc-rich is refused with the reason, its rule and its source', async () => {
    const page = await stage.desk();
    await surveyedRail(stage, page);
    expect(await refused(page, 'zinc-epoxy').count()).toBe(0);
    await answer(page, { 'Old phosphate film': 'yes' });
    const zinc = refused(page, 'zinc-epoxy');
    await zinc.getByText(/phosphate film keeps the zinc from touching the steel/).click();
    expect(await zinc.innerText()).toContain('common practice, no published source');
    expect(await page.getByText('Closed:').locator('..').innerText()).toContain('Zinc-rich epoxy');
    await zinc.getByRole('link', { name: 'zinc.phosphate' }).click();
    await page.locator('[id="zinc.phosphate"]').waitFor();
    expect(new URL(page.url()).hash).toBe('#zinc.phosphate');
  });
  it('switching the school changes the route', async () => {
    const page = await stage.desk();
    await open(stage, page, '/settings');
    await page.getByRole('radio', { name: 'brush', exact: true }).click();
    await page.getByText('House practice stored').waitFor();
    await surveyedRail(stage, page);
    await page.getByRole('article').locator('summary').filter({ hasText: 'score' }).first().click();
    const brushed = await page.getByRole('article').first().innerText();
    await open(stage, page, '/settings');
    await page.getByRole('radio', { name: 'gun', exact: true }).click();
    await page.getByText('House practice stored').waitFor();
    await surveyedRail(stage, page);
    await page.getByRole('article').locator('summary').filter({ hasText: 'score' }).first().click();
    expect(await page.getByRole('article').first().innerText()).not.toBe(brushed);
  });
  it('a contradictory survey is questioned and cannot be used', async () => {
    const page = await stage.desk();
    await surveyedRail(stage, page);
    await (await onSheet(page, 'Area')).fill('95');
    await page
      .getByRole('alert')
      .getByText(/can that be/i)
      .waitFor();
    expect(await page.getByRole('button', { name: 'Use this route' }).first().isDisabled()).toBe(true);
  });
  it('an advised route is used, and drives the part', async () => {
    const page = await stage.desk();
    await surveyedRail(stage, page);
    const way = await page.locator('[data-chosen] h3 + p').innerText();
    await page.getByRole('button', { name: 'Use this route' }).first().click();
    await page.getByRole('heading', { name: 'New rail' }).waitFor();
    await page.getByText('as advised').first().waitFor();
    expect(await page.locator('section[aria-label="Route"]').innerText()).toContain(way.split('. ')[0]!);
  });
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
  it('forty parts are pasted, the bad row named, the good ones made', async () => {
    const page = await stage.desk();
    await open(stage, page, '/machines/van');
    await page.getByRole('button', { name: 'Type or paste parts', exact: true }).click();
    const rows = Array.from({ length: 40 }, (_, i) => `Bracket ${i + 1}\tBrackets\tsteel plate\t1.2\t5`);
    const text = [
      'Part\tAssembly\tMetal\tMass kg\tThickness mm',
      ...rows,
      'Odd one\tBrackets\tmithril\t1\t1',
    ].join('\n');
    await page.getByLabel('Parts, one to a line').fill(text);
    await page.getByText('“mithril” is no metal known here: choose it.').waitFor();
    await page.getByRole('button', { name: 'Make 40 parts' }).click();
    await page.getByText('40 parts made in Estuary van chassis').waitFor();
    await page
      .getByText(/Bracket 40\b/)
      .first()
      .waitFor();
  });
});
