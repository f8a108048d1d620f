import { beforeEach, describe, expect, it } from '@jest/globals';
import type { Page } from 'playwright-core';
import type { Survey } from '@calvetta/core';
import { PLAIN } from '../core/src/route/test/given.ts';
import { factInput } from '../server/src/test/testApp.ts';
import { open, storyStage } from './browser.ts';
import { keepSurvey, rivals } from './survey.ts';
import { itInCi } from '../server/src/test/inCi.ts';

const stage = storyStage();
let page: Page;
beforeEach(async () => {
  page = await stage.desk();
});

/** A new part of the van with its survey, opened at its routes. */
async function surveyed(name: string, over: Partial<Survey>): Promise<void> {
  const survey: Survey = { ...PLAIN, finish: 'working', ...over };
  const partId = `van.${name.replaceAll(' ', '-')}`;
  const part = {
    partId,
    name,
    assemblyName: 'Judged',
    substrate: survey.substrate,
    massKg: survey.massKg ?? 4,
    areaM2: survey.areaM2,
    thicknessMm: survey.thicknessMm,
    faces: 1,
  };
  expect((await stage.app.post('/api/machines/van/parts', { parts: [part] })).status).toBe(201);
  await keepSurvey(stage, partId, survey);
  await open(stage, page, `/parts/${partId}/route`);
  await page.locator('[data-route]').first().waitFor();
}
const ways = () =>
  page.locator('[data-way]').evaluateAll((all) => all.map((a) => a.getAttribute('data-way')));
const titles = () => rivals(page);
const means = async (facilities: readonly string[]): Promise<void> => {
  const { version, schools } = (await stage.app.call('GET', '/api/shop')).body.means;
  const r = await stage.app.call('PATCH', '/api/shop/means', { version, facilities, schools });
  expect(r.status).toBe(200);
};
const FULL = ['grit', 'bead', 'bath', 'gun', 'booth', 'air-fed-mask', 'heat', 'contractor'];

// What each story expects is common practice of the trade, no published source, where none is named.
describe('stories of a restorer', () => {
  it('a pitted boiler plate gets no filler: it would hide what the inspector looks for', async () => {
    await surveyed('boiler plate', {
      kind: 'boiler',
      criticality: ['pressure'],
      pits: 'deep',
      rust: 'D',
      finish: 'show',
    });
    for (const t of await titles()) expect(t).not.toMatch(/filler|stopper|putty/i);
    const surfacer = page.locator('[data-refused="surfacer-2k"]');
    await surfacer.getByText('finish.pressure-filler').waitFor({ state: 'attached' });
    // Nor can it be talked into one step by step.
    await page.getByRole('button', { name: 'Edit steps' }).first().click();
    await page.getByLabel('Put in').selectOption({ label: 'Fill and level: Epoxy metal filler' });
    await page.getByRole('button', { name: 'Put it in' }).click();
    await page.getByText('A matter of life and limb').waitFor();
    expect(await page.getByRole('button', { name: 'Set it against the rules' }).isDisabled()).toBe(true);
  });
  it('a painted, rusty bracket is stripped and derusted; without the stripper the page names what stands and puts it back', async () => {
    await means(['bath', 'gun', 'air-fed-mask', 'heat']);
    await surveyed('old bracket', {
      kind: 'bracket',
      massKg: 4,
      areaM2: 0.2,
      rust: 'C',
      coating: 'sound',
      coatKind: 'two-pack',
    });
    await page
      .locator('[data-route]')
      .filter({ hasText: /chelating|citric|electrolysis/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Edit steps' }).click();
    await page.getByText('No rule is against it.').waitFor();
    const rows = page.getByRole('dialog').getByRole('listitem');
    const doing = (...acts: string[]) =>
      rows.filter({ has: page.locator(acts.map((a) => `option[value="${a}"]:checked`).join(', ')) });
    const stripper = doing('solvent-stripper');
    const had = await stripper.count();
    expect(had).toBeGreaterThan(0);
    for (let i = had; i > 0; i--)
      await stripper
        .first()
        .getByRole('button', { name: /^Take step \d+ out/ })
        .click();
    await page
      .getByText(/Sound old paint.* (still stands under|comes off before)/i)
      .first()
      .waitFor();
    for (let i = 0; i < 4 && !(await page.getByText('No rule is against it.').isVisible()); i++)
      await page
        .getByRole('button', { name: /^Put in: / })
        .first()
        .click();
    await page.getByText('No rule is against it.').waitFor();
    // Without the bath it is the rust that stays.
    const derust = doing('chelating-bath', 'citric-bath', 'electrolysis').first();
    await derust.getByRole('button', { name: /^Take step \d+ out/ }).click();
    await page
      .getByText(/rust.* still stands under/i)
      .first()
      .waitFor();
    await means(FULL);
  });
  itInCi('sound lead paint may be kept and sealed; nothing dry touches it here', async () => {
    await surveyed('lead panel', {
      kind: 'frame-plate',
      rust: 'A',
      coating: 'sound',
      coatKind: 'one-pack',
      legacy: 'lead',
      solventRub: 'passed',
    });
    expect(await ways()).toContain('keep');
    await page.locator('[data-way="keep"]').first().click();
    const kept = page.getByRole('article').first();
    await kept.locator('summary').filter({ hasText: 'score' }).click();
    expect(await kept.innerText()).not.toMatch(/wire wheel|\bdisc\b|rotary bristle/);
    await page.getByRole('button', { name: 'Edit steps' }).click();
    await page.getByLabel('Put in').selectOption({ label: 'Strip to sound metal: wire wheel' });
    await page.getByRole('button', { name: 'Put it in' }).click();
    await page.getByText('A matter of life and limb').waitFor();
    expect(await page.getByRole('button', { name: 'Set it against the rules' }).isDisabled()).toBe(true);
  });
  itInCi('the hot manifold beside its block is a zone of its own, with its own finish', async () => {
    await surveyed('block', { kind: 'engine-casting', substrate: 'grey-iron' });
    await page.getByText('Zones of its own').click();
    await page.getByLabel('Name of a new zone').fill('manifold');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByLabel('Hottest of manifold').fill('450');
    const zone = page.locator('[data-zone]').filter({ hasText: 'manifold' });
    await zone.getByText('to 450 °C').waitFor();
    expect(await zone.innerText()).toMatch(/heat/i);
    for (const t of await titles()) expect(t).not.toMatch(/heat black|heat aluminium/i);
    await page.getByRole('button', { name: 'Use this route' }).first().click();
    const route = page.locator('section[aria-label="Route"]');
    await route.getByText('manifold').first().waitFor();
  });
  itInCi('a phosphated rail takes no zinc-rich primer, and the page says why', async () => {
    await surveyed('rail', { kind: 'chassis-rail', phosphated: 'yes', category: 'C4' });
    await page
      .locator('[data-refused="zinc-epoxy"]')
      .getByText(/phosphate film keeps the zinc/)
      .waitFor();
  });
  itInCi('a shop with a brush and a contractor sees the sent-out way beside the one by hand', async () => {
    await means(['contractor']);
    await surveyed('buffer plate', { rust: 'C', category: 'C4', kind: 'frame-plate' });
    const seen = await ways();
    expect(seen).toContain('contractor');
    expect(seen).toContain('hand');
    await means(FULL);
  });
  itInCi('zinc on aluminium is refused, and no other answer is said to open it', async () => {
    await surveyed('hot cover', {
      substrate: 'aluminium-wrought',
      rust: 'none',
      heatC: 150,
      kind: 'bracket',
    });
    const zinc = page.locator('[data-refused="zinc-epoxy"]');
    await zinc.getByText('zinc.steel-only').waitFor({ state: 'attached' });
    expect(await zinc.innerText()).not.toContain('Would hold with');
  });
  it('a look at the bare metal that finds rust changes the verdict of the route', async () => {
    await surveyed('footstep', { rust: 'B' });
    await page.getByRole('button', { name: 'Use this route' }).first().click();
    await page.getByRole('heading', { name: 'footstep' }).waitFor();
    await stage.app.post('/api/facts', {
      facts: [
        {
          ...factInput('stripped', 'van.footstep', 0, { method: 'blast' }),
          happenedAt: new Date(stage.nowMs()).toISOString(),
        },
      ],
    });
    await page.reload();
    const look = page.getByRole('region', { name: 'What do you see now?' });
    await look.getByRole('radio', { name: 'firm rust' }).click();
    await look.getByRole('radio', { name: 'patches' }).click();
    expect(await look.getByRole('button', { name: 'Record the look' }).isDisabled()).toBe(true);
    await look.getByRole('radio', { name: 'water breaks: oil' }).click();
    await look.getByText(/loose old paint still stands under/i).waitFor();
    await look.getByRole('button', { name: 'Record the look' }).click();
    await look.getByText('Recorded', { exact: true }).waitFor();
    await page.locator('section[aria-label="History"]').getByText('Looked at bare').waitFor();
  });
});
