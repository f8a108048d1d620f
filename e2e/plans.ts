import type { Page } from 'playwright-core';
import type { StoredPlan } from '@calvetta/contract';
import type { Stage } from './browser.ts';

/** The plan that is kept, as the server has it. */
export const keptPlan = async (stage: Stage): Promise<StoredPlan | null> =>
  ((await stage.app.call('GET', '/api/plan')).body as { plan: StoredPlan | null }).plan;
export const blocks = (page: Page) => page.locator('[data-plan-block]');

/** Makes a plan of what is ticked, and is content with the first. */
export async function makePlan(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Make a plan' }).click();
  await blocks(page).first().waitFor({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop at this one' }).click();
  await page.getByText(/plans? tried; this is the best/).waitFor();
}

/** Opens what is asked of a plan, where it is not open: with a plan kept it is folded away. */
export async function openAsked(page: Page): Promise<void> {
  const asked = page.getByRole('button', { name: 'What is asked' });
  if ((await asked.getAttribute('aria-expanded')) !== 'true') await asked.click();
}
