import { expect, it } from '@jest/globals';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';

const stage = storyStage();

it('what is due is logged in a touch and falls due next year; something found goes on to Inspect', async () => {
  const page = await stage.desk();
  await open(stage, page, '/aftercare');
  const due = page.getByRole('region', { name: 'Due' });
  const row = due.getByRole('listitem').filter({ hasText: 'yearly look' });
  await row.getByRole('link', { name: 'Wing float, spare' }).waitFor();
  expect(await violations(page)).toEqual([]);
  // On the wheel, by keys.
  const mark = page.getByRole('button', { name: 'Wing float, spare: yearly look' });
  await mark.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('region', { name: 'Chosen on the wheel' }).waitFor();
  await row.getByRole('button', { name: 'Done, nothing found' }).click();
  await row.waitFor({ state: 'detached' });
  await page.getByText('Later').click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Wing float, spare' })
    .filter({ hasText: 'nothing found' })
    .first()
    .waitFor();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Flap, port' })
    .first()
    .getByRole('button', { name: 'Something found' })
    .click();
  await page.waitForURL(/\/parts\/saltern\.flap-port\/inspect/);
});

it('a decision is given its day, comes back, and is seen to', async () => {
  const page = await stage.desk();
  await open(stage, page, '/aftercare');
  const back = page.getByRole('region', { name: 'Comes back on its day' });
  await back.getByText('given five years').waitFor();
  await back.getByRole('button', { name: 'Add one' }).click();
  await back.getByLabel('Part').selectOption({ label: 'Chimney, Quarry tank No. 4' });
  await back.getByLabel('What was decided').fill('cap it for the winter');
  await back.getByLabel('Comes back on').fill('2027-10-01');
  expect(await violations(page)).toEqual([]);
  await back.getByRole('button', { name: 'Keep it' }).click();
  const row = back.getByRole('listitem').filter({ hasText: 'cap it for the winter' });
  await row.getByRole('button', { name: 'Seen to' }).click();
  await row.waitFor({ state: 'detached' });
});
