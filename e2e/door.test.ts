import { describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import { violations } from './accessible.ts';
import { open, storyStage } from './browser.ts';
import { invite } from '../server/src/door/invites.ts';
import { isWhole } from '../server/src/test/inCi.ts';

const stage = storyStage();

const PHRASE = 'tide over the slip at noon';
const PART = 'saltern.flap-port';

/** Takes an invitation up on a page of its own. */
async function takeUp(page: Page, link: string, phrase: string | null): Promise<void> {
  await page.goto(link);
  await page.getByRole('heading', { name: 'You are invited' }).waitFor();
  if (phrase !== null) {
    await page.getByLabel('Phrase', { exact: true }).fill(phrase);
    await page.getByLabel('The same again').fill(phrase);
  }
  await page.getByRole('button', { name: 'Take it up' }).click();
}
/** The owner invites somebody and reads the link off the page. */
async function inviteHere(owner: Page, name: string, role: string, isInspector = false): Promise<string> {
  const door = owner.getByRole('region', { name: 'The door' });
  await door.getByRole('button', { name: `Invite ${name}`, exact: true }).click();
  await door.getByRole('radio', { name: role, exact: true }).click();
  if (isInspector) await door.getByLabel(/^inspector: /).check();
  await door.getByRole('button', { name: 'Make the invitation' }).click();
  const link = (await door.getByText(/\/in#/).textContent())!;
  await door.getByRole('button', { name: 'Done' }).click();
  return link;
}
async function letIn(owner: Page, page: Page, name: string): Promise<void> {
  const door = owner.getByRole('region', { name: 'The door' });
  await page.getByRole('heading', { name: `Nearly in, ${name}` }).waitFor();
  await door.getByText(`${name} took the invitation up`).waitFor();
  await door.getByRole('button', { name: 'Let in' }).click();
  await door.getByText(`${name} took the invitation up`).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'I have been let in' }).click();
  await page.getByRole('navigation', { name: 'Places' }).waitFor();
}
async function logHere(page: Page, kind: string, fill: (page: Page) => Promise<void>): Promise<void> {
  await open(stage, page, `/parts/${PART}`);
  await page.getByRole('button', { name: 'Log…' }).click();
  await page.getByRole('dialog').getByLabel('What was done').selectOption(kind);
  await fill(page);
  await page.getByRole('dialog').waitFor({ state: 'detached' });
}

describe('a shop with a door', () => {
  it('owner, hand, tablet and inspector come in; the inspector signs; a correction lapses it; everyone goes out again', async () => {
    const { app } = stage;
    const { body: shop } = await app.call('GET', '/api/shop');
    const console_ = await invite(app.db, shop.workshopId, stage.nowMs(), {
      personId: 'ines',
      tabletName: null,
      role: 'owner',
      isInspector: false,
      madeBy: null,
    });
    const owner = await stage.desk();
    await open(stage, owner, '/settings');
    await owner.getByText('Nobody signs in yet').waitFor();
    await takeUp(owner, `${app.base}/in#${console_.token}`, PHRASE);
    await owner.getByRole('navigation', { name: 'Places' }).waitFor();
    await open(stage, owner, '/settings');
    if (isWhole) expect(await violations(owner)).toEqual([]);

    // A hand: cannot come in before somebody has seen who came.
    const hand = await stage.desk();
    await hand.goto(app.base);
    await hand.getByRole('heading', { name: 'Sign in' }).waitFor();
    expect(await violations(hand)).toEqual([]);
    await takeUp(hand, await inviteHere(owner, 'Tom', 'logs'), PHRASE);
    await letIn(owner, hand, 'Tom');
    await logHere(hand, 'noted', async (page) => {
      await page.getByRole('dialog').getByLabel('Note', { exact: true }).fill('wiped it down twice');
      await page.getByRole('dialog').getByRole('button', { name: 'Log note' }).click();
    });
    const facts = async (): Promise<any[]> =>
      (await app.db.query(`select * from fact where part_id = $1 order by seq`, [PART])).rows;
    expect((await facts()).at(-1)).toMatchObject({ kind: 'noted', entered_by: 'tom', how: 'session' });
    // What only an owner sees is not there for a hand.
    await open(stage, hand, '/settings');
    expect(await hand.getByRole('button', { name: 'Invite a tablet' }).count()).toBe(0);

    // A tablet of the shop: no phrase; a pin signs one entry.
    const door = owner.getByRole('region', { name: 'The door' });
    await hand.getByRole('button', { name: 'Set my pin' }).click();
    await hand.getByLabel('Phrase you have now').fill(PHRASE);
    await hand.getByLabel('New pin').fill('246802');
    await hand.getByRole('button', { name: 'Keep it' }).click();
    await hand.getByText('Your pin is set').waitFor();
    await door.getByRole('button', { name: 'Invite a tablet' }).click();
    await door.getByLabel('Where it hangs').fill('By the booth');
    await door.getByRole('button', { name: 'Make the invitation' }).click();
    const tabletLink = (await door.getByText(/\/in#/).textContent())!;
    await door.getByRole('button', { name: 'Done' }).click();
    const tablet = await stage.desk();
    await takeUp(tablet, tabletLink, null);
    await tablet.getByRole('button', { name: 'Sign with a pin' }).click();
    const dialog = tablet.getByRole('dialog');
    await dialog.getByRole('radio', { name: 'Tom' }).click();
    await dialog.getByLabel('Pin').fill('246802');
    if (isWhole) expect(await violations(tablet)).toEqual([]);
    await dialog.getByRole('button', { name: 'Sign the next entry' }).click();
    await tablet.getByRole('button', { name: 'Next entry is signed' }).waitFor();
    await logHereOn(tablet);
    expect((await facts()).at(-1)).toMatchObject({ kind: 'noted', entered_by: 'tom', how: 'pin' });

    // The inspector signs what stands; a correction of it lapses the signature before her eyes.
    const inspector = await stage.desk();
    await takeUp(inspector, await inviteHere(owner, 'Orla', 'looks', true), PHRASE);
    await letIn(owner, inspector, 'Orla');
    await open(stage, inspector, `/parts/${PART}`);
    const signs = inspector.getByRole('region', { name: 'Sign-offs' });
    await signs.getByRole('button', { name: 'Sign off' }).click();
    const form = inspector.getByRole('dialog');
    await form.getByRole('list', { name: 'What is signed' }).waitFor();
    await form.getByLabel('What you say of it').fill('seen on the trestles, even');
    await form.getByLabel('Your phrase').fill('not my phrase');
    if (isWhole) expect(await violations(inspector)).toEqual([]);
    await form.getByRole('button', { name: 'Sign off' }).click();
    await form.getByText(/do not belong together/).waitFor();
    await form.getByLabel('Your phrase').fill(PHRASE);
    await form.getByRole('button', { name: 'Sign off' }).click();
    await signs.getByText('stands', { exact: true }).waitFor();
    expect(await violations(inspector)).toEqual([]);
    const coated = (await facts()).findLast((f) => f.kind === 'coated');
    await open(stage, owner, `/parts/${PART}`);
    await owner
      .getByRole('region', { name: 'History' })
      .getByRole('listitem')
      .filter({ hasText: /^.*Coated/ })
      .first()
      .getByRole('button', { name: 'Correct' })
      .click();
    const correct = owner.getByRole('dialog');
    await correct.getByLabel(/^Batch/).fill('B9');
    await correct.getByRole('button', { name: 'Save correction' }).click();
    await correct.waitFor({ state: 'detached' });
    expect((await facts()).at(-1)).toMatchObject({ kind: 'coated', supersedes: coated.fact_id });
    await signs.getByText(/corrected since: no longer valid: Coated/).waitFor();

    // Out again: a page left open by somebody else's session shows nothing more.
    await open(stage, hand, '/');
    await open(stage, owner, '/settings');
    await door.getByRole('button', { name: 'Shut Tom out' }).click();
    await hand.getByRole('heading', { name: 'Sign in' }).waitFor();
    await door.getByRole('button', { name: 'Sign out' }).click();
    await owner.getByRole('heading', { name: 'Sign in' }).waitFor();
    await owner.getByLabel('Name').fill('Ines');
    await owner.getByLabel('Phrase').fill('nothing of the kind');
    await owner.getByRole('button', { name: 'Sign in' }).click();
    await owner.getByText(/do not belong together/).waitFor();
    await owner.getByLabel('Phrase').fill(PHRASE);
    await owner.getByRole('button', { name: 'Sign in' }).click();
    await owner.getByRole('navigation', { name: 'Places' }).waitFor();
  });
});

/** On the page that is open: a reload would forget the pin, as it should. */
async function logHereOn(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Machines' }).click();
  await page
    .getByRole('button', { name: /Saltern/ })
    .first()
    .click();
  await page.locator(`a[href="/parts/${PART}"]`).first().click();
  await page.getByRole('button', { name: 'Log…' }).click();
  await page.getByRole('dialog').getByLabel('What was done').selectOption('noted');
  await page.getByRole('dialog').getByLabel('Note', { exact: true }).fill('by pin');
  await page.getByRole('dialog').getByRole('button', { name: 'Log note' }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
}
