import type { Locator, Page } from 'playwright-core';
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

/** Two parts that nobody has looked at yet, where those of the demo are surveyed: a rail and a plate. */
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
}

/** Opens the new rail's route and answers what a rusty rail outdoors is asked. */
export async function surveyedRail(stage: Stage, page: Page): Promise<void> {
  await open(stage, page, '/parts/van.new-rail/route');
  const usual = page.getByRole('button', { name: /nothing else unusual/ });
  // A part surveyed before has its answers.
  if (await usual.isVisible()) await usual.click();
  await answer(page, {
    Rust: 'C',
    Pits: 'light',
    'Oil and grease': 'surface',
    'Old coat': 'none',
    'Where it lives': 'C4',
    'In the sun': 'yes',
  });
}

/** A family or an act on the strip of what was refused. */
export const refused = (page: Page, id: string): Locator => page.locator(`[data-refused="${id}"]`);
