import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP, SMALL_SHOP, type ShopMeans } from '../part/shopMeans.ts';
import type { Survey } from '../part/survey.ts';
import { buildRoute } from './build.ts';
import { abradeHours, coatHours, degreaseHours, maskHours, polishHours, stripHours } from './hours.ts';
import { judge, isAllowed } from './judge.ts';
import { METHODS, type Method } from './route.ts';
import { RULES } from './rules/index.ts';
import {
  figuresOf as figuresOfSteps,
  QUALITIES,
  meritsOf,
  scoreOf,
  WEIGHTS,
  weightsFor,
  type Figures,
} from './score.ts';
import { layersOf, systemsOf } from './systems.ts';
import type { RouteView } from './view.ts';
import { FAMILIES, given, layersFrom, PLAIN } from './test/given.ts';

const figuresOf = (v: RouteView): Figures => figuresOfSteps(v.survey, v.steps, FAMILIES);
const build = (
  s: Partial<Survey>,
  methods: readonly Method[] = ['grit-blast'],
  layers = 'epoxy-mastic gloss-2k*2',
  means: ShopMeans = FULL_SHOP,
) => buildRoute({ ...PLAIN, ...s }, means, { acts: methods, layers: layersFrom(layers) }, FAMILIES);
const kinds = (s: Partial<Survey>, methods?: readonly Method[], layers?: string): string[] =>
  build(s, methods, layers).map((x) => (x.what === undefined ? x.kind : `${x.kind}:${x.what}`));

/** The order of work is docs/trade.md 2 (common practice, no published source). */
describe('a choice written out as steps', () => {
  it('a plain bracket: degrease, blast, dust off, look, prime, finish, cure', () =>
    expect(kinds({})).toEqual([
      'degrease',
      'strip:grit-blast',
      'wash:dust',
      'inspect',
      'wash:wipe',
      'prime',
      'topcoat',
      'cure',
    ]));
  it('old paint of unknown kind is recorded and tested before anything', () =>
    expect(kinds({ coating: 'unsound', legacy: 'unknown' }, ['solvent-stripper']).slice(0, 4)).toEqual([
      'record',
      'test:legacy',
      'degrease',
      'strip:solvent-stripper',
    ]));
  it('a wheel and a stripper leave a face to be keyed; a blast and hand abrasive do not', () => {
    for (const m of ['wire-wheel', 'solvent-stripper', 'heat-gun'] as const)
      expect(kinds({}, [m])).toContain('abrade:after-strip');
    for (const m of ['grit-blast', 'hand'] as const)
      expect(kinds({}, [m])).not.toContain('abrade:after-strip');
  });
  it('soaked iron is degreased twice, the second time after stripping', () => {
    const steps = kinds({ substrate: 'grey-iron', oil: 'soaked' });
    expect(steps.indexOf('degrease:again')).toBeGreaterThan(steps.indexOf('strip:grit-blast'));
  });
  it('what is masked is unmasked after the last coat, and the box section waxed after that', () => {
    const steps = kinds({ features: ['threads', 'box-section'] });
    expect(steps.filter((s) => s.startsWith('mask'))).toEqual(['mask:before-strip', 'mask:before-paint']);
    expect(steps.indexOf('unmask')).toBeGreaterThan(steps.indexOf('topcoat'));
    expect(steps.slice(-4)).toEqual(['cavity', 'care:wax-yearly', 'preserve:oil-film', 'care:renew-oil']);
  });
  it('heat finishes are baked, the rest cures', () => {
    expect(kinds({ heatC: 400 }, ['grit-blast'], 'heat-black*2')).toContain('bake');
    expect(kinds({})).toContain('cure');
  });
  it('licensed people come in where they must', () => {
    const steps = kinds({ criticality: ['fuel', 'pressure', 'control-surface'], lagging: 'yes' });
    expect(steps.indexOf('refer:asbestos')).toBeLessThan(steps.indexOf('degrease'));
    expect(steps.indexOf('refer:gas-free')).toBeLessThan(steps.indexOf('degrease'));
    expect(steps.indexOf('refer:inspection')).toBeLessThan(steps.indexOf('prime'));
    expect(steps.indexOf('refer:re-balance')).toBeGreaterThan(steps.indexOf('topcoat'));
  });
  it('no coat, no cure, no wax', () =>
    expect(kinds({ features: ['box-section'] }, ['disc'], '')).toEqual([
      'degrease',
      'strip:disc',
      'wash:dust',
      'inspect',
      'wash:wipe',
    ]));
  it('every step has its own id', () => {
    const ids = build({ features: ['threads', 'close-fit'], coating: 'unsound', legacy: 'unknown' }).map(
      (s) => s.stepId,
    );
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('tools and windows follow the shop', () => {
  const toolOf = (means: ShopMeans, s: Partial<Survey> = {}): (string | undefined)[] =>
    build(s, ['disc'], 'epoxy-mastic gloss-2k*2', means)
      .filter((x) => x.familyId !== undefined)
      .map((x) => x.tool);
  it('gun where there is one and an air-fed mask for isocyanate; else brush', () => {
    expect(toolOf(FULL_SHOP)).toEqual(['gun', 'gun']);
    expect(toolOf(SMALL_SHOP)).toEqual(['gun', 'brush']);
    expect(toolOf({ ...SMALL_SHOP, facilities: [] })).toEqual(['brush', 'brush']);
    expect(toolOf(FULL_SHOP, { reach: 'brush' })).toEqual(['brush', 'brush']);
  });
  it('a brush house brushes, but not what is to be shown', () => {
    const brush = { ...FULL_SHOP, schools: { ...FULL_SHOP.schools, tool: 'brush' } } as const;
    expect(toolOf(brush)).toEqual(['brush', 'brush']);
    expect(toolOf(brush, { finish: 'show' })).toEqual(['gun', 'gun']);
  });
  it('over etch: wet-on-wet where the sheet and the house allow, else hardened and scuffed', () => {
    const policy = (etch: 'wet-on-wet' | 'harden-scuff', layers: string) =>
      build({}, ['disc'], layers, { ...FULL_SHOP, schools: { ...FULL_SHOP.schools, etch } }).find(
        (x) => x.kind !== 'etch' && x.familyId !== undefined,
      )?.policy;
    expect(policy('wet-on-wet', 'etch-2k epoxy-aero gloss-2k')).toBe('wet-on-wet');
    expect(policy('harden-scuff', 'etch-2k epoxy-aero gloss-2k')).toBe('harden-scuff');
    // The one-pack's sheet gives no wet-on-wet window.
    expect(policy('wet-on-wet', 'etch-1k surfacer-2k gloss-2k')).toBe('harden-scuff');
  });
  it('what the shop has not goes out: two to three weeks (common practice)', () => {
    const days = (means: ShopMeans) =>
      build({}, ['grit-blast'], 'epoxy-mastic gloss-2k*2', means).find((x) => x.kind === 'strip')!.waitHours /
      24;
    expect(days(FULL_SHOP)).toBe(0);
    expect(days(SMALL_SHOP)).toBeGreaterThanOrEqual(14);
    expect(days(SMALL_SHOP)).toBeLessThanOrEqual(21);
  });
});

describe('hours', () => {
  const hoursOf = [
    degreaseHours,
    abradeHours,
    maskHours,
    polishHours,
    (s: Survey) => coatHours(s, 'gun'),
    ...METHODS.map((m) => (s: Survey) => stripHours(s, m)),
  ];
  it('law: more area, worse rust and more oil never take fewer hands', () => {
    for (const f of hoursOf)
      for (const areaM2 of [0.1, 1, 5]) {
        expect(f({ ...PLAIN, areaM2: areaM2 * 2 })).toBeGreaterThanOrEqual(f({ ...PLAIN, areaM2 }));
        expect(f({ ...PLAIN, areaM2, rust: 'D' })).toBeGreaterThanOrEqual(f({ ...PLAIN, areaM2, rust: 'A' }));
        expect(f({ ...PLAIN, areaM2, oil: 'soaked' })).toBeGreaterThanOrEqual(
          f({ ...PLAIN, areaM2, oil: 'none' }),
        );
      }
  });
  it('a casting takes longer than a plate of its area, a brush longer than a gun over a big one', () => {
    expect(degreaseHours({ ...PLAIN, substrate: 'grey-iron' })).toBeGreaterThan(degreaseHours(PLAIN));
    const big = { ...PLAIN, areaM2: 10 };
    expect(coatHours(big, 'brush')).toBeGreaterThan(coatHours(big, 'gun'));
    const small = { ...PLAIN, areaM2: 0.05 };
    expect(coatHours(small, 'brush')).toBeLessThan(coatHours(small, 'gun'));
  });
});

describe('figures and score', () => {
  it('film is coats × dry film, hours and waits are the sum of the steps', () => {
    const v = given({ l: 'epoxy-mastic*2 gloss-2k*2' });
    const f = figuresOf(v);
    // By the catalogue's sheets: 2 × 100 + 2 × 45 µm.
    expect(f.filmUm).toBe(290);
    expect(f.hours).toBeCloseTo(
      v.steps.reduce((sum, s) => sum + s.hours, 0),
      9,
    );
    expect(f.days).toBeGreaterThan(v.steps.reduce((sum, s) => sum + s.waitHours, 0) / 24);
  });
  it('a contractor costs money and days', () => {
    const own = figuresOf(given({}));
    const out = figuresOf(given({ has: ['gun', 'air-fed-mask', 'contractor'] }));
    expect(out.cost).toBeGreaterThan(own.cost);
    expect(out.days - own.days).toBeGreaterThan(13);
  });
  it('the total is the weighted mean of its parts, so that the working adds up', () => {
    const v = given({});
    const weights = WEIGHTS.working;
    const score = scoreOf({
      survey: v.survey,
      merits: meritsOf(v.survey, v.paint),
      figures: figuresOf(v),
      grip: 1,
      keeps: false,
      preferences: 3,
      weights,
    });
    const sum = QUALITIES.reduce((t, q) => t + weights[q], 0);
    expect(score.total).toBeCloseTo(QUALITIES.reduce((t, q) => t + weights[q] * score.parts[q], 0) / sum, 12);
  });
  it('a show shop weighs finish above hours, a working one the other way', () => {
    expect(WEIGHTS.show.finish).toBeGreaterThan(WEIGHTS.show.hours);
    // Outdoors a look never outweighs what keeps the metal.
    expect(weightsFor({ ...PLAIN, finish: 'show' }).finish).toBeLessThan(
      weightsFor({ ...PLAIN, finish: 'show' }).protection,
    );
    expect(WEIGHTS.working.hours).toBeGreaterThan(WEIGHTS.working.finish);
  });
});

describe('systems and preparations', () => {
  it('no system has a neighbour that the sheet below does not allow', () => {
    for (const s of systemsOf(FAMILIES)) {
      const v = given({ l: [...s.primers, ...s.finishes].map((f) => f.familyId).join(' ') });
      const about = judge(
        v,
        RULES.filter((r) => ['etch.follower', 'over.sheet-forbids', 'over.two-over-one'].includes(r.id)),
      );
      expect(
        [...s.primers, ...s.finishes].map((f) => f.familyId).join('+') +
          about.refusals.map((r) => r.ruleId).join(),
      ).not.toMatch(/over|etch\./);
    }
  });
  it('coats grow until the film reaches what the exposure asks, within the product’s total', () => {
    const system = systemsOf(FAMILIES).find(
      (s) => s.primers[0]?.familyId === 'epoxy-primer' && s.finishes[0]?.familyId === 'gloss-2k',
    )!;
    const um = (s: Partial<Survey>): number =>
      layersOf(system, { ...PLAIN, ...s }, FAMILIES).reduce(
        (sum, l) => sum + l.coats * FAMILIES.get(l.familyId)!.sheet.dftUm,
        0,
      );
    expect(um({ category: 'C3', durability: 'M' })).toBeGreaterThanOrEqual(120);
    expect(um({ category: 'C5', durability: 'H' })).toBeGreaterThanOrEqual(300);
    expect(um({ category: 'C5', durability: 'VH' })).toBeGreaterThanOrEqual(360);
  });
});

describe('a judgement', () => {
  it('is allowed only with nothing against it and nothing open', () => {
    expect(isAllowed(judge(given({}), RULES))).toBe(true);
    expect(isAllowed(judge(given({ s: { heatC: null } }), RULES))).toBe(false);
    expect(isAllowed(judge(given({ drop: 'degrease' }), RULES))).toBe(false);
  });
  it('lists its reasons in the order of the rules', () => {
    const order = RULES.map((r) => r.id);
    const { refusals } = judge(given({ drop: 'degrease', p: 'phosphate', l: 'zinc-epoxy enamel*3' }), RULES);
    const at = refusals.map((r) => order.indexOf(r.ruleId));
    expect(at.length).toBeGreaterThan(2);
    expect(at).toEqual([...at].sort((a, b) => a - b));
  });
});
