import { describe, expect, it } from '@jest/globals';
import { open, storyStage } from './browser.ts';
import { bringNew, onSheet, refused, rivals, surveyedRail } from './survey.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage(bringNew);

describe('what a part has of its own', () => {
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
  it('an area worked out by shapes, a template kept and used, and practice against the house', async () => {
    const page = await stage.desk();
    await surveyedRail(stage, page);
    const survey = page.locator('section[aria-label="Survey"]');
    // Seven leaves of 900 × 60 mm, both faces: 0.756 m².
    await onSheet(page, 'Area');
    await survey.getByText('work the area out by shapes').click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Pieces').fill('7');
    await dialog.getByLabel('Length').fill('900');
    await dialog.getByLabel('Width').fill('60');
    await dialog.getByText('0.76 m²').waitFor();
    await dialog.getByRole('button', { name: 'Use this area' }).click();
    expect(await (await onSheet(page, 'Area')).inputValue()).toBe('0.756');

    await survey.getByText('keep as a template').click();
    await survey.getByLabel('Name of the template').fill('spring leaf');
    await survey.getByRole('button', { name: 'Keep', exact: true }).click();
    await page.getByText('Kept as "spring leaf"').waitFor();
    await open(stage, page, '/parts/van.new-plate/route');
    await survey.getByLabel('Start from a template').selectOption({ label: 'spring leaf' });
    expect(await (await onSheet(page, 'Rust')).inputValue()).toBe('C');
    // Its own area stays.
    expect(await (await onSheet(page, 'Area')).inputValue()).toBe('0.7');

    await survey.getByText('Done otherwise here').click();
    await survey.getByLabel('Laid on by', { exact: true }).selectOption('brush');
    await page.getByText(/Done here: .*brush/).waitFor();
    expect((await rivals(page)).length).toBeGreaterThan(0);
  });
  itInCi(
    'colour undecided: a primer to hold, no finish; the other practice chooses the whole system',
    async () => {
      const page = await stage.desk();
      await surveyedRail(stage, page);
      await (await onSheet(page, 'Colour undecided')).check();
      await page.waitForTimeout(300);
      for (const t of await rivals(page)) expect(t).not.toMatch(/gloss|enamel|urethane/i);
      await refused(page, 'gloss-2k')
        .getByText(/House practice while the colour is undecided/)
        .waitFor();
      await page.getByText('Done otherwise here').click();
      await page
        .locator('section[aria-label="Survey"] select[aria-label="Colour undecided"]')
        .selectOption('whole-system');
      await page.locator('[data-route][aria-label*="gloss"]').first().waitFor();
    },
  );
});
