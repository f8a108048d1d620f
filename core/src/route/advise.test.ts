import { describe, expect, it } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { often } from '../test/often.ts';
import { FACILITIES, FULL_SHOP, SMALL_SHOP, type ShopMeans } from '../part/shopMeans.ts';
import { blankSurvey, type Survey } from '../part/survey.ts';
import { CATALOGUE_SHEETS, familiesOf } from '../products/catalogue/index.ts';
import { advise } from './advise.ts';
import { buildRoute } from './build.ts';
import { hopedSurvey } from './gates.ts';
import { judgeRoute } from './judge.ts';
import { RULES } from './rules/index.ts';
import { QUALITIES } from './score.ts';
import type { ActId } from './surface/act.ts';
import { systemsOf } from './systems.ts';
import { faultsOf } from './test/checker.ts';
import { FAMILIES, PLAIN } from './test/given.ts';
import { randomMeans, randomSurvey, SEED, shopOf, where } from './test/surveys.ts';

const ask = (survey: Survey, means = FULL_SHOP) => advise({ survey, means, families: FAMILIES });

describe('laws of advice', () => {
  it('taking any stripping act out of an advised route makes the judge name the matter that stays, or what it is no more fit for', () => {
    const random = seededRandom(SEED + 4);
    let tried = 0;
    for (let i = 0; i < often(400); i++) {
      const survey = randomSurvey(random);
      const means = randomMeans(random);
      for (const r of ask(survey, means).routes.filter((x) => x.answer.kind === 'paint')) {
        for (const gone of r.steps.filter((s) => s.kind === 'strip' && s.what !== 'keep')) {
          const steps = r.steps.filter((s) => s !== gone);
          const verdict = judgeRoute({ survey, means, steps, families: FAMILIES, rules: RULES });
          const said = [...verdict.refusals, ...verdict.open].map((x) => x.ruleId);
          const names = said.filter((id) => id.startsWith('surface.') || id.startsWith('protect.'));
          if (names.length === 0)
            throw new Error(`${r.routeId} without ${gone.what} passes: ${where(i, survey)}`);
          tried += 1;
        }
      }
    }
    expect(tried).toBeGreaterThan(0.75 * often(400));
  });

  it('two ways are shown whenever two hold, by an own search of the checker', () => {
    const random = seededRandom(SEED + 5);
    let found = 0;
    for (let i = 0; i < often(500); i++) {
      const survey = hopedSurvey(randomSurvey(random));
      const means = randomMeans(random);
      const a = ask(survey, means);
      const layers = a.routes.find((r) => r.answer.kind === 'paint')?.choice.layers;
      if (!layers) continue;
      const ways = new Set<string>();
      const holds = (acts: readonly ActId[]): boolean =>
        faultsOf(survey, buildRoute(survey, means, { acts, layers }, FAMILIES), shopOf(survey, means))
          .length === 0;
      for (const acts of TRIED) {
        const steps = buildRoute(survey, means, { acts, layers }, FAMILIES);
        // A pair of which one does it alone is no way of its own.
        if (acts.length > 1 && acts[0] !== acts[1] && !acts.includes('keep') && acts.some((x) => holds([x])))
          continue;
        const kept = acts.includes('keep');
        // A stripper where there is no paint is no way.
        if (acts.includes('solvent-stripper') && survey.coating === 'none') continue;
        if (faultsOf(survey, steps, shopOf(survey, means)).length > 0) continue;
        const out = steps.some((s) => s.kind === 'strip' && s.waitHours > 24 * 10);
        ways.add(
          out
            ? 'contractor'
            : kept
              ? 'keep'
              : WAY_BOOK.find(([ids]) => acts.some((x) => ids.includes(x)))![1],
        );
      }
      if (ways.size < 2) continue;
      found += 1;
      const shown = new Set(a.routes.filter((r) => r.answer.kind === 'paint').map((r) => r.way));
      expect([where(i, survey), [...ways].join(), shown.size > 1]).toEqual([
        where(i, survey),
        [...ways].join(),
        true,
      ]);
    }
    expect(found).toBeGreaterThan(0.03 * often(500));
  });

  it('unknown never reads as safe: a route for a forgotten answer holds whichever it is, or looks first', () => {
    const random = seededRandom(SEED + 2);
    for (let i = 0; i < often(60); i++) {
      const survey = { ...randomSurvey(random), lagging: 'no' as const };
      for (const field of [
        'hardened',
        'phosphated',
        'assembled',
        'fuel',
        'sun',
        'salt',
        'scale',
        'oldFiller',
      ] as const)
        for (const r of ask({ ...survey, [field]: 'unknown' }).routes)
          for (const value of ['yes', 'no'] as const) {
            // Grades C and D have lost their scale, and where there is no rust there is no grade.
            if (field === 'scale' && ['C', 'D', 'none'].includes(survey.rust)) continue;
            const gate = r.gates.find((g) => g.field === field);
            if (gate && !gate.passes.includes(value)) continue;
            expect(faultsOf({ ...survey, [field]: value }, r.steps, shopOf(survey, FULL_SHOP))).toEqual([]);
          }
    }
  });

  it('adding a facility never removes every painted route', () => {
    const random = seededRandom(SEED + 3);
    const count = (survey: Survey, means: ShopMeans): number =>
      ask(survey, means).routes.filter((r) => r.answer.kind === 'paint').length;
    for (let i = 0; i < often(60); i++) {
      const survey = randomSurvey(random);
      const means = randomMeans(random);
      if (count(survey, means) === 0) continue;
      for (const f of FACILITIES) {
        const more = { ...means, facilities: [...new Set([...means.facilities, f])] };
        expect([i, f, count(survey, more) > 0]).toEqual([i, f, true]);
      }
    }
  });
  it('the order in which answers were given does not matter', () => {
    const entries = Object.entries(PLAIN);
    const other = Object.fromEntries([...entries].reverse()) as unknown as Survey;
    expect(ask(other)).toEqual(ask(PLAIN));
  });
  it('of a blank survey an expert is named, and which answers would open a route', () => {
    const a = ask(blankSurvey('steel-plate'));
    expect(a.routes.map((r) => r.answer.kind)).toEqual(['refer']);
    expect(a.questions.map((q) => q.field)).toEqual(expect.arrayContaining(['heatC', 'lagging']));
    expect(a.wouldHelp.length).toBeGreaterThan(3);
  });
  it('painted routes come best first with their working, at most five, and no two of one way and binder pair', () => {
    const { routes } = ask(PLAIN, SMALL_SHOP);
    expect(routes.length).toBe(5);
    const totals = routes.flatMap((r) => (r.score === null ? [] : [r.score.total]));
    expect(totals.length).toBeGreaterThan(2);
    expect(totals).toEqual([...totals].sort((a, b) => b - a));
    for (const r of routes)
      for (const q of Object.values(r.score?.parts ?? {})) {
        expect(q).toBeGreaterThanOrEqual(0);
        expect(q).toBeLessThanOrEqual(1);
      }
    const binder = (id: string | undefined): string => FAMILIES.get(id ?? '')?.sheet.binder ?? '';
    const pairs = routes
      .filter((r) => r.score !== null)
      .map((r) =>
        [r.way, binder(r.choice.layers[0]?.familyId), binder(r.choice.layers.at(-1)?.familyId)].join(),
      );
    expect(new Set(pairs).size).toBe(pairs.length);
  });
  it('what a rival is best at is said once, and what it gives up is against the advised one', () => {
    const { routes } = ask({ ...PLAIN, category: 'C4', kind: 'frame-plate' });
    const bests = routes.flatMap((r) => r.bestAt);
    expect(new Set(bests).size).toBe(bests.length);
    expect(bests).toContain('lasts-longest');
    expect(routes[0]!.givesUp).toBeNull();
    for (const r of routes.slice(1))
      expect(r.givesUp!.hours).toBeCloseTo(r.figures.hours - routes[0]!.figures.hours, 9);
  });
  it('what holds and is not shown says which quality cost it its place', () => {
    const { unshown } = ask(PLAIN);
    expect(unshown.length).toBeGreaterThan(0);
    for (const u of unshown) expect(QUALITIES).toContain(u.lostBy);
  });
  it('a product that the shop has comes first among equals, and lifts no refusal', () => {
    const given = (families: ReturnType<typeof familiesOf>) =>
      advise({ survey: PLAIN, means: FULL_SHOP, families });
    const plain = given(FAMILIES);
    const first = (a: typeof plain): string => a.routes[0]!.choice.layers[0]!.familyId;
    const refused = (a: typeof plain) => a.refused.map((r) => [r.id, r.reasons.map((x) => x.ruleId)]);
    // As good as the advised one: the same preparation under other layers.
    const equals = new Set(plain.routes[0]!.twins.map((t) => t[0]!.familyId));
    equals.delete(first(plain));
    expect(equals.size).toBeGreaterThan(0);
    for (const productId of equals) {
      const sheet = CATALOGUE_SHEETS.find((s) => s.productId === productId)!;
      const own = given(familiesOf([{ ...sheet, sheetId: `${productId}.2`, revision: 2 }]));
      expect(first(own)).toBe(productId);
      expect(refused(own)).toEqual(refused(plain));
    }
  });
  it('a shop’s own sheet decides: an etch revision that lists no follower any more closes every etch system', () => {
    const etches = CATALOGUE_SHEETS.filter((s) => s.role === 'etch');
    const own = etches.map((s) => ({ ...s, sheetId: `${s.productId}.2`, revision: 2, followers: [] }));
    const closed = (families: ReturnType<typeof familiesOf>): boolean =>
      advise({ survey: PLAIN, means: FULL_SHOP, families }).refused.some(
        (r) => r.id === 'etch-2k' && r.reasons.length > 0,
      );
    const systems = (families: ReturnType<typeof familiesOf>) =>
      systemsOf(families).filter((s) => s.primers[0]?.sheet.role === 'etch').length;
    expect(systems(FAMILIES)).toBeGreaterThan(0);
    expect(systems(familiesOf(own))).toBe(0);
    expect(closed(familiesOf(own))).toBe(false);
  });
});

/** What the checker tries by itself for other ways: single acts and the usual pairs. */
const TRIED: readonly (readonly ActId[])[] = [
  ['grit-blast'],
  ['fine-blast'],
  ['bead-blast'],
  ['disc'],
  ['hand'],
  ['rotary-bristle'],
  ['needle-gun'],
  ['chelating-bath'],
  ['citric-bath'],
  ['solvent-stripper'],
  ['solvent-stripper', 'solvent-stripper'],
  ['solvent-stripper', 'disc'],
  ['keep'],
  ['spot-disc', 'keep'],
];
const WAY_BOOK: readonly (readonly [readonly string[], string])[] = [
  [['grit-blast', 'fine-blast', 'bead-blast'], 'blast'],
  [['chelating-bath', 'citric-bath'], 'bath'],
  [['solvent-stripper'], 'chemical'],
  [['disc', 'hand', 'rotary-bristle', 'needle-gun'], 'hand'],
];
