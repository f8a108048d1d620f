import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import { answer, bringNew, onSheet, refused, rivals, surveyByHand, surveyedRail } from './survey.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage(bringNew);

describe('choose a route', () => {
  it('a blank survey has no route and says what to answer; answering opens routes', async () => {
    const page = await stage.desk();
    await open(stage, page, '/parts/van.new-plate/route');
    await page.getByText('No route holds yet').waitFor();
    await page.getByText('these move the answer most').waitFor();
    await surveyByHand(page);
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
  itInCi('switching the school changes the route', async () => {
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
    const first = page.getByRole('article').first();
    for (let i = 0; i < 50 && (await first.innerText()) === brushed; i++) await page.waitForTimeout(200);
    expect(await first.innerText()).not.toBe(brushed);
  });
  itInCi('a contradictory survey is questioned and cannot be used', async () => {
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
});
