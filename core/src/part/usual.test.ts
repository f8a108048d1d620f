import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from './shopMeans.ts';
import { PART_KINDS } from './kinds.ts';
import { kindsFor, likelyKinds } from './kindWords.ts';
import { SUBSTRATES } from './substrate.ts';
import { blankSurvey, USUAL_FIELDS, type Survey } from './survey.ts';
import { surveyDoubts } from './surveyDoubts.ts';
import { answered, withKind } from './usualOfKind.ts';
import { METALS_OF_KIND } from './kindFacts.ts';
import { buildRoute } from '../route/build.ts';
import { RULES } from '../route/rules/index.ts';
import { ACTS } from '../route/surface/actsTable.ts';
import { viewOf } from '../route/view.ts';
import { FAMILIES } from '../route/test/given.ts';
import { randomSurvey } from '../route/test/surveys.ts';
import { seededRandom } from '../base/random.ts';

describe('what a kind brings', () => {
  const blank = blankSurvey('steel-plate');
  it('fills only what was open, and notes each as usual; what somebody said stands', () => {
    const s = withKind({ ...blank, thicknessMm: 3, heatC: 90 }, 'bracket');
    expect(s).toMatchObject({ kind: 'bracket', thicknessMm: 3, heatC: 90, assembled: 'no' });
    expect(s.usual).not.toContain('thicknessMm');
    expect(s.usual).toContain('assembled');
  });
  it('another kind takes its own in place of what nobody looked at; an answer stays', () => {
    const bracket = answered(withKind(blank, 'bracket'), { assembled: 'no' });
    const engine = answered(bracket, { kind: 'engine-assembled' });
    expect(engine.assembled).toBe('no');
    expect(engine.heatC).toBe(110);
    expect(surveyDoubts(engine, 7850).map((d) => d.code)).toContain('assembled-kind');
    const unknown = answered(withKind(blank, 'bracket'), { kind: 'unknown' });
    expect({ ...unknown, usual: [] }).toEqual(blank);
  });
  it('an answer given to what was usual is looked at, the same or another', () => {
    const s = withKind(blank, 'bracket');
    expect(answered(s, { heatC: 60 }).usual).not.toContain('heatC');
    expect(answered(s, { heatC: 300 })).toMatchObject({ heatC: 300 });
  });
  it('contradicts nothing by itself, on any metal that kind is made of', () => {
    for (const kind of PART_KINDS)
      for (const substrate of METALS_OF_KIND[kind] ?? (['steel-plate'] as const)) {
        const s = withKind(blankSurvey(substrate), kind);
        // What a tank held and what a boiler does if it fails is asked of a person: a kind never answers it.
        const own = surveyDoubts(s, 7850).filter((d) => d.code !== 'kind-pressure' && d.code !== 'kind-fuel');
        expect([kind, substrate, own]).toEqual([kind, substrate, []]);
      }
  });
});

describe('safety never comes from a kind', () => {
  it('says nothing of lagging, lead, hardness, plating, fuel that was in it, or what happens if it fails', () => {
    for (const kind of PART_KINDS) {
      const s = withKind(blankSurvey('steel-plate'), kind);
      expect([kind, s.lagging, s.legacy, s.hardened, s.criticality, s.alsoOn, s.leaks]).toEqual([
        kind,
        'unknown',
        'unknown',
        'unknown',
        [],
        [],
        'unknown',
      ]);
    }
  });
  it('no rule of life and limb that stands on a blank answer is lifted by what is usual', () => {
    const random = seededRandom(11);
    const safety = RULES.filter((r) => r.safety);
    expect(safety.length).toBeGreaterThan(5);
    let stood = 0;
    for (let i = 0; i < 150; i++) {
      const given = randomSurvey(random);
      const blank = blankSurvey(given.substrate);
      const open: Survey = {
        ...given,
        ...Object.fromEntries(USUAL_FIELDS.map((f) => [f, blank[f]])),
        kind: 'unknown',
      };
      const act = ACTS[i % ACTS.length]!;
      const steps = buildRoute(open, FULL_SHOP, { acts: [act.actId], layers: [] }, FAMILIES);
      for (const kind of PART_KINDS) {
        const usual = withKind(open, kind);
        for (const r of safety) {
          const before = r.check(viewOf(open, FULL_SHOP, steps, FAMILIES));
          if (before === null) continue;
          stood++;
          expect([r.id, kind, r.check(viewOf(usual, FULL_SHOP, steps, FAMILIES)) !== null]).toEqual([
            r.id,
            kind,
            true,
          ]);
        }
      }
    }
    expect(stood).toBeGreaterThan(500);
  });
});

// What people call parts: common practice, no published source.
describe('kinds by their common words', () => {
  it.each([
    ['mudguard', 'sheet-panel'],
    ['Crankcase', 'engine-casting'],
    ['horn guide', 'machined-casting'],
    ['Horn guides', 'machined-casting'],
    ['Chassis rail, left', 'chassis-rail'],
    ['Leaf springs', 'spring'],
    ['Boiler cleading', 'cladding'],
    ['Saddle tank', 'water-tank'],
    ['Fuel tank', 'fuel-tank'],
    ['Elevator, port', 'control-surface'],
    ['Carburettor body', 'diecast-fitting'],
    ['Push rods', 'shaft-pin-rod'],
    ['mudg', 'sheet-panel'],
    ['lathe bed', 'bed-slide'],
  ])('%s is a %s', (text, kind) => expect(kindsFor(text)[0]).toBe(kind));
  it('a kind that is never made of the metal is not offered; nothing is found for nothing', () => {
    expect(kindsFor('skin', 'grey-iron')).not.toContain('aircraft-skin');
    expect(kindsFor('  ')).toEqual([]);
    expect(kindsFor('qqq')).toEqual([]);
  });
  it('some kinds are offered for every metal, whatever the name', () => {
    for (const substrate of SUBSTRATES) {
      const kinds = likelyKinds('Thing 4', substrate);
      expect(kinds.length).toBeGreaterThanOrEqual(6);
      expect(new Set(kinds).size).toBe(kinds.length);
    }
  });
});
