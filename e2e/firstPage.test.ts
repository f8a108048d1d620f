import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { violations } from './accessible.ts';
import { startStage, type Stage } from './browser.ts';
import { ownShop } from './ownShop.ts';

let stage: Stage;
const fresh = async (): Promise<void> => {
  stage = await startStage({ empty: true });
};

describe('an empty Calvetta on a phone', () => {
  beforeAll(fresh, 120_000);
  afterAll(() => stage.close());

  it('is begun by touch alone at 390 wide; the first page is accessible', async () => {
    const page = await stage.phone();
    await page.goto(stage.app.base);
    await page.getByRole('heading', { name: 'Start here' }).waitFor();
    expect(await violations(page)).toEqual([]);
    await ownShop(stage, page, true);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }, 180_000);
});

describe('the demo, from the first page', () => {
  beforeAll(fresh, 120_000);
  afterAll(() => stage.close());

  it('is loaded in one touch, says that it is the demo, and goes whole', async () => {
    const page = await stage.desk();
    await page.goto(stage.app.base);
    await page.getByRole('button', { name: 'Load the demo' }).click();
    await page.getByRole('heading', { name: 'What can be coated' }).waitFor({ timeout: 60_000 });
    await page.goto(`${stage.app.base}/settings`);
    await page.getByText('This is the demo, invented from end to end', { exact: false }).waitFor();
    await page.getByRole('button', { name: 'Remove the demo' }).click();
    await page.getByRole('button', { name: 'Remove it all' }).click();
    await page.getByRole('heading', { name: 'Start here' }).waitFor();
    expect((await stage.app.call('GET', '/api/shop')).status).toBe(404);
  }, 120_000);
});
