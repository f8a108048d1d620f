import { expect } from '@jest/globals';
import type { Locator, Page } from 'playwright-core';
import type { Stage } from './browser.ts';
import { rivals } from './survey.ts';
import { isWhole } from '../server/src/test/inCi.ts';

/** A usual part, what somebody in front of it touches, and what the golden decision of the same name says of it. */
export interface Usual {
  readonly partId: string;
  readonly name: string;
  readonly substrate: string;
  readonly kind: string;
  readonly touches: readonly (readonly [question: string, answer: string])[];
  /** Families or acts, by id, in the leading route. */
  readonly leads: RegExp;
  /** Never in any route shown. */
  readonly never: RegExp;
  /** Refused, by the rule that must be among its reasons. */
  readonly refuses: readonly [id: string, ruleId: string];
}
const where = ['Where will it live?', 'outdoors inland (C3)'] as const;
const sun = ['Does the sun reach it?', 'yes'] as const;
const bare = ['What does the old paint do?', 'none'] as const;
const oily = ['Is there oil on it?', 'surface'] as const;
const rusty = ['What does the bare metal look like?', 'C: scale gone, light pits'] as const;

// Each expectation is a golden decision of core/src/route/test (named beside it), whose source stands there: docs/trade.md,
// common practice, no published source.
export const USUAL: readonly Usual[] = [
  {
    // 'galvanised never takes alkyd', 'galvanised keeps its zinc'
    partId: 'van.guard',
    name: 'Bin lid, galvanised',
    substrate: 'galvanised',
    kind: 'galvanised sheet',
    touches: [bare, oily, where, sun],
    leads: /sweep|pad|t-wash/,
    // Never as the first coat on zinc.
    never: /grit-blast|^[^/]*\/(zp-alkyd|enamel)/,
    refuses: ['zp-alkyd', 'metal.listed'],
  },
  {
    // 'small rusty bracket: bath is a way', 'plate, blasted, outdoors'
    partId: 'van.lug',
    name: 'Step bracket',
    substrate: 'steel-plate',
    kind: 'bracket, fabricated',
    touches: [bare, rusty, oily, where, sun],
    leads: /grit-blast.*(epoxy|zinc)/,
    never: /^hand\//,
    refuses: ['tank-lining', 'protect.lining'],
  },
  {
    // 'sheet of 1 mm is not blasted'
    partId: 'van.mudguard',
    name: 'Mudguard, front',
    substrate: 'steel-sheet',
    kind: 'sheet panel',
    touches: [bare, rusty, oily, where, sun],
    leads: /spot-blast|fine-blast|rotary-bristle|disc/,
    never: /grit-blast/,
    refuses: ['grit-blast', 'strip.thin'],
  },
  {
    // 'oil-soaked casting is degreased again', 'zinc-rich on cast iron'
    partId: 'van.case',
    name: 'Crankcase',
    substrate: 'grey-iron',
    kind: 'engine casting',
    touches: [bare, rusty, ['Is there oil on it?', 'soaked in'], where],
    leads: /epoxy|heat-primer|engine/,
    never: /zinc-epoxy/,
    refuses: ['zinc-epoxy', 'zinc.steel-only'],
  },
  {
    // 'aluminium skin: no disc', 'aluminium never meets iron media'
    partId: 'van.skin',
    name: 'Cowling skin',
    substrate: 'aluminium-wrought',
    kind: 'aircraft skin',
    touches: [bare, oily, where, sun],
    leads: /epoxy|etch/,
    never: /grit-blast|\bdisc\b|zinc-epoxy/,
    refuses: ['disc', 'strip.clad'],
  },
  {
    // 'leaf spring: chelate or fine blast, no acid, no grit, no disc'
    partId: 'van.leaf',
    name: 'Leaf spring, spare',
    substrate: 'steel-plate',
    kind: 'spring',
    touches: [bare, rusty, oily, where, sun],
    leads: /chelating-bath|fine-blast|hand|graphite|oil-film/,
    never: /citric-bath|grit-blast|\bdisc\b|electrolysis/,
    refuses: ['grit-blast', 'strip.springs'],
  },
];

/** Puts the six parts into the van, with nothing known but metal, mass and area. */
export async function bringUsual(stage: Stage): Promise<void> {
  const parts = USUAL.map(({ partId, name, substrate }) => ({
    partId,
    name,
    assemblyName: 'Looked at',
    substrate,
    massKg: 8,
    areaM2: 0.6,
    thicknessMm: null,
    faces: 1,
  }));
  expect((await stage.app.post('/api/machines/van/parts', { parts })).status).toBe(201);
}
const EACH = USUAL.map((u) => [u.name, u] as const);
/** Which parts these hands look at: of mouse, keys and thumb one each, and all six in `.ci/run`. */
export const lookedAt = (...names: readonly string[]): typeof EACH =>
  isWhole ? EACH : EACH.filter(([name]) => names.includes(name));

export type Touch = (what: Locator) => Promise<void>;

/** Looks at the part and touches what is seen; gives back how many touches it took. */
export async function lookAt(page: Page, part: Usual, touch: Touch): Promise<number> {
  let touches = 0;
  const press = async (what: Locator): Promise<void> => {
    await what.waitFor();
    await touch(what);
    touches++;
  };
  await press(page.getByRole('radio', { name: part.kind, exact: true }));
  for (const [question, answer] of part.touches)
    await press(
      page.getByRole('group', { name: question }).getByRole('radio', { name: answer, exact: true }),
    );
  await press(page.getByRole('button', { name: 'I looked: nothing else unusual' }));
  return touches;
}

export async function agreesWithGolden(page: Page, part: Usual): Promise<void> {
  await page.getByText(/^\d routes? holds?|^\d routes hold/).waitFor();
  const ids = await page
    .locator('[data-route]')
    .evaluateAll((all) => all.map((a) => a.getAttribute('data-route')!));
  expect([part.name, ids[0]]).toEqual([part.name, expect.stringMatching(part.leads)]);
  for (const id of ids) expect([part.name, id]).toEqual([part.name, expect.not.stringMatching(part.never)]);
  const [id, ruleId] = part.refuses;
  await page.locator(`[data-refused="${id}"]`).getByText(ruleId).first().waitFor({ state: 'attached' });
  expect((await rivals(page))[0]).toMatch(/^Advised: /);
}
