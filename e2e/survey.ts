import { expect } from '@jest/globals';
import type { Locator, Page } from 'playwright-core';
import type { Survey } from '@calvetta/core';
import { PLAIN } from '../core/src/route/test/given.ts';
import { factInput } from '../server/src/test/testApp.ts';
import { open, type Stage } from './browser.ts';

/** For browser stories: the field of an answer on the whole sheet, its level opened. */
export async function onSheet(page: Page, label: string): Promise<Locator> {
  const sheet = page.getByRole('region', { name: 'The whole sheet' });
  const field = sheet.getByLabel(label, { exact: true });
  for (const level of await sheet.locator('[data-level] > button').all()) {
    if (await field.isVisible()) break;
    if ((await level.getAttribute('aria-expanded')) === 'false') await level.click();
  }
  await field.waitFor();
  return field;
}

/** Gives answers on the whole sheet by their labels. */
export async function answer(page: Page, answers: Readonly<Record<string, string>>): Promise<void> {
  for (const [label, value] of Object.entries(answers))
    await (await onSheet(page, label)).selectOption(value);
}

/** What the rivals are called, best first. */
export const rivals = (page: Page): Promise<string[]> =>
  page.locator('[data-route]').evaluateAll((all) => all.map((a) => a.getAttribute('aria-label') ?? ''));

/** A survey as somebody kept it, and what is known of the part besides. */
export async function keepSurvey(stage: Stage, partId: string, over: Partial<Survey>): Promise<void> {
  const survey: Survey = { ...PLAIN, ...over };
  const fact = {
    ...factInput('surveyed', partId, 0, { survey }),
    happenedAt: new Date(stage.nowMs()).toISOString(),
  };
  expect((await stage.app.post('/api/facts', { facts: [fact] })).status).toBe(201);
}

/** What a rusty rail outdoors answers, by the labels of the sheet and as it is kept. */
const BY_HAND = {
  Rust: 'C',
  Pits: 'light',
  'Oil and grease': 'surface',
  'Old coat': 'none',
  'Where it lives': 'C4',
  'In the sun': 'yes',
};
const KEPT: Partial<Survey> = { rust: 'C', pits: 'light', category: 'C4', areaM2: 0.7, massKg: 20 };

/** Two new parts, where those of the demo are done: a plate that nobody has looked at yet, and a rail whose survey is kept. */
export async function bringNew(stage: Stage): Promise<void> {
  const parts = ['rail', 'plate'].map((name) => ({
    partId: `van.new-${name}`,
    name: `New ${name}`,
    assemblyName: 'Frame repairs',
    substrate: 'steel-plate',
    massKg: 20,
    areaM2: 0.7,
    thicknessMm: 6,
    faces: 1,
  }));
  await stage.app.post('/api/machines/van/parts', { parts });
  await keepSurvey(stage, 'van.new-rail', KEPT);
}

/** Answers for the new plate, on its page, what was answered for the rail. */
export async function surveyByHand(page: Page): Promise<void> {
  await page.getByRole('button', { name: /nothing else unusual/ }).click();
  await answer(page, BY_HAND);
}

/** Opens the new rail's route. */
export async function surveyedRail(stage: Stage, page: Page): Promise<void> {
  await open(stage, page, '/parts/van.new-rail/route');
  await page.locator('[data-route]').first().waitFor();
}

/** A family or an act on the strip of what was refused. */
export const refused = (page: Page, id: string): Locator => page.locator(`[data-refused="${id}"]`);
