import { describe, expect } from '@jest/globals';
import { brokenHere } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { bringUsual, lookAt, USUAL } from './usual.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage(bringUsual);

describe('the page to look at', () => {
  itInCi(
    'keeps to WCAG A and AA by day and by night: kinds, pictures, rivals, steps in the hands',
    async () => {
      const page = await stage.desk();
      const well = { day: [], night: [] };
      await open(stage, page, `/parts/${USUAL[5]!.partId}/route`);
      await page.getByRole('button', { name: 'all 30 kinds' }).click();
      expect(await brokenHere(page)).toEqual(well);
      await lookAt(page, USUAL[5]!, (w) => w.click());
      await page.locator('[data-level] > button').first().click();
      expect(await brokenHere(page)).toEqual(well);
      await page.getByRole('button', { name: 'Edit steps' }).click();
      await page.getByText('No rule is against it.').waitFor();
      expect(await brokenHere(page)).toEqual(well);
    },
  );
});

describe('answers are not lost', () => {
  itInCi(
    'stand when the page is left and come back to; kept, they are on record; another’s are not run over unseen',
    async () => {
      const part = USUAL[1]!;
      const page = await stage.desk();
      await open(stage, page, `/parts/${part.partId}/route`);
      await lookAt(page, part, (w) => w.click());
      await page.goto(page.url().replace('/route', ''));
      await page.getByRole('heading', { name: part.name }).waitFor();
      await page.goBack();
      await page.getByText('These answers are on this device only.').waitFor();
      await page.getByText('Bracket, fabricated').waitFor();
      // Somebody else surveys it meanwhile.
      const other = await stage.desk();
      await open(stage, other, `/parts/${part.partId}/route`);
      await other.getByRole('radio', { name: 'frame or plate', exact: true }).click();
      await other.getByRole('button', { name: 'Keep the survey' }).click();
      await other.getByText('Survey kept').waitFor();
      await page.getByText(/Somebody stored another survey/).waitFor();
      await page.getByRole('button', { name: 'Take theirs' }).click();
      await page.getByText('Frame or plate').waitFor();
      await page.getByText(/on this device only/).waitFor({ state: 'detached' });
    },
  );
});
