import { describe, expect, it } from '@jest/globals';
import type { SheetTraits } from '../products/traits.ts';
import type { Family } from '../products/catalogue/index.ts';
import { FULL_SHOP } from '../part/shopMeans.ts';
import { buildRoute } from './build.ts';
import { judgeRoute } from './judge.ts';
import { RULES } from './rules/index.ts';
import { FAMILIES, given, layersFrom, PLAIN, type Given } from './test/given.ts';

const WET = { category: 'immersed', fluids: ['brine'], sun: 'no' } as const;
const OLD = { coating: 'sound', coatKind: 'two-pack', rust: 'none', legacy: 'none' } as const;

/** A trait of one family set otherwise, a route it decides, and the rule that then speaks. */
const DECIDES: readonly (readonly [Partial<SheetTraits>, family: string, Given, rule: string])[] = [
  [
    { pigment: 'copper' },
    'epoxy-mastic',
    { s: { substrate: 'aluminium-cast', rust: 'none' }, m: ['bead-blast'] },
    'over.noble-metal',
  ],
  [{ heatMaxC: 39 }, 'epoxy-mastic', {}, 'heat.limit'],
  [{ holdsSun: false }, 'gloss-2k', {}, 'finish.sun'],
  [{ standsAlone: false }, 'gloss-2k', {}, 'finish.stands-alone'],
  [{ tools: ['roller'] }, 'epoxy-mastic', {}, 'work.tool'],
  [{ bareMetals: ['aluminium'] }, 'epoxy-mastic', {}, 'metal.listed'],
  [{ overOldPaint: false }, 'epoxy-mastic', { s: OLD, m: ['keep'] }, 'surface.stands'],
  [{ overPhosphate: false }, 'epoxy-mastic', { p: 'phosphate' }, 'surface.stands'],
  [
    { overFiller: false },
    'epoxy-mastic',
    { s: { ...OLD, oldFiller: 'yes' }, m: ['solvent-stripper', 'solvent-stripper', 'wire-wheel'] },
    'surface.stands',
  ],
  [{ needsBlast: true }, 'epoxy-mastic', { m: ['disc'] }, 'surface.clean'],
  [{ leastClean: 'Sa 2½' }, 'epoxy-mastic', { m: ['disc'] }, 'surface.clean'],
  [{ profileUm: { min: 80, max: 100 } }, 'epoxy-mastic', {}, 'surface.profile'],
  [
    { tolerates: {} },
    'epoxy-mastic',
    { s: { rust: 'D', pits: 'light', category: 'C2' }, m: ['disc'] },
    'surface.stands',
  ],
  [{ totalMaxUm: 99 }, 'epoxy-mastic', {}, 'protect.most-film'],
  [{ fuelProof: false }, 'gloss-2k', { s: { fuel: 'yes' } }, 'finish.fuel'],
  [{ fluids: [] }, 'epoxy-mastic', { s: WET, l: 'epoxy-mastic*3' }, 'protect.immersion'],
  [{ immersedLeastUm: 400 }, 'epoxy-mastic', { s: WET, l: 'epoxy-mastic*3' }, 'protect.immersed-film'],
  [{ isLining: true }, 'epoxy-mastic', {}, 'protect.lining'],
  [
    { onFins: false },
    'engine-enamel',
    { s: { kind: 'radiator' }, l: 'engine-enamel' },
    'protect.fins-listed',
  ],
  [{ isLegacy: true }, 'epoxy-mastic', {}, 'work.legacy-product'],
  [{ needsOver: 'clear' }, 'gloss-2k', {}, 'over.base-clear'],
  [{ look: 1 }, 'gloss-2k', { s: { finish: 'show' } }, 'finish.show-look'],
];

describe('each trait of a sheet can change a verdict', () => {
  it.each(DECIDES.map((d) => [Object.keys(d[0])[0]!, d] as const))('%s', (_name, [traits, id, g, rule]) => {
    const survey = { ...PLAIN, ...g.s };
    const choice = {
      acts: [...(g.m ?? (['grit-blast'] as const)), ...(g.p === undefined ? [] : [g.p])],
      layers: layersFrom(g.l ?? 'epoxy-mastic gloss-2k*2'),
    };
    const steps = buildRoute(survey, FULL_SHOP, choice, FAMILIES);
    const own = FAMILIES.get(id)!;
    const changed: ReadonlyMap<string, Family> = new Map([
      ...FAMILIES,
      [id, { ...own, traits: { ...own.traits, ...traits } }],
    ]);
    const said = (families: ReadonlyMap<string, Family>): string[] =>
      judgeRoute({ survey, means: FULL_SHOP, steps, families, rules: RULES }).refusals.map((r) => r.ruleId);
    expect(said(FAMILIES)).not.toContain(rule);
    expect(said(changed)).toContain(rule);
  });
});

describe('a part of two zones', () => {
  const engine = {
    ...PLAIN,
    substrate: 'grey-iron' as const,
    thicknessMm: 8,
    heatC: 90,
    zones: [
      {
        zoneId: 'manifold',
        name: 'Manifold',
        kind: 'outside' as const,
        heatC: 550,
        fluids: [],
        overrides: { areaM2: 0.2 },
      },
    ],
  };
  it('its hot zone is judged by its own heat, and the outside by its own', () => {
    const v = given({ s: { substrate: 'grey-iron', thicknessMm: 8, heatC: 90 } });
    const only = judgeRoute({
      survey: engine,
      means: FULL_SHOP,
      steps: v.steps,
      families: FAMILIES,
      rules: RULES,
    });
    // A zone without an answer of its own has no end.
    expect(only.refusals.map((r) => [r.ruleId, r.zoneId])).toEqual([['work.no-coats', 'manifold']]);
    const painted = v.steps.map((s) => ({ ...s, zoneId: 'manifold' }));
    const both = judgeRoute({
      survey: engine,
      means: FULL_SHOP,
      steps: [...v.steps, ...painted],
      families: FAMILIES,
      rules: RULES,
    });
    expect(both.refusals.filter((r) => r.zoneId === undefined)).toEqual([]);
    expect(both.refusals.filter((r) => r.zoneId === 'manifold').map((r) => r.ruleId)).toContain('heat.limit');
  });
});
