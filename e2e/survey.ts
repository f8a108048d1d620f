import type { Locator, Page } from 'playwright-core';

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
