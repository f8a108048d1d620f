import { afterAll, afterEach, beforeAll, describe, expect, it } from '@jest/globals';
import { brokenRules } from './accessible.ts';
import { startStage, type Stage } from './browser.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterEach(() => stage.closePages());
afterAll(() => stage.close());

describe('AA contrast and names by day', () => {
  it('every screen, the coat dialog and Why?', async () => {
    expect(await brokenRules(stage, 'day')).toEqual({});
  }, 240_000);
});
