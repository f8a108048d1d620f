import { afterAll, afterEach, beforeAll, describe, expect, it } from '@jest/globals';
import { brokenRules } from './accessible.ts';
import { startStage, type Stage } from './browser.ts';

let stage: Stage;
beforeAll(async () => {
  stage = await startStage();
}, 120_000);
afterEach(() => stage.closePages());
afterAll(() => stage.close());

// Names and structure are the same by night: there only what the theme changes is looked at.
describe('AA contrast by night', () => {
  it('every screen, the coat dialog and Why?', async () => {
    expect(await brokenRules(stage, 'night and booth', ['color-contrast'])).toEqual({});
  }, 240_000);
});
