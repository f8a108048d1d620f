import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { startStage, type Stage } from './browser.ts';
import { isWhole } from '../server/src/test/inCi.ts';
import { ownShop } from './ownShop.ts';

let stage: Stage;
const fresh = async (): Promise<void> => {
  stage = await startStage({ empty: true });
};

// By thumb on a phone it is begun in own.test.ts; with a mouse in `.ci/run`.
if (isWhole)
  describe('an empty Calvetta at a desk', () => {
    beforeAll(fresh, 120_000);
    afterAll(() => stage.close());

    it('is begun with a mouse, with few touches', async () => {
      const { touches, fields } = await ownShop(stage, await stage.desk(), false);
      expect(touches * 3 + fields * 8).toBeLessThan(600);
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
