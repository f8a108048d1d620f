import { describe, expect, it } from '@jest/globals';
import { FULL_SHOP } from '../../part/shopMeans.ts';
import { blankSurvey, type Survey } from '../../part/survey.ts';
import { withKind } from '../../part/usualOfKind.ts';
import { advise } from '../advise.ts';
import { FAMILIES, PLAIN } from '../test/given.ts';
import { levelsOf, lifeSpan } from './levels.ts';
import { movesOf } from './moves.ts';
import { MOST_QUESTIONS, openFields, questionsNext, worthOf } from './worth.ts';

const input = (survey: Survey) => ({ survey, means: FULL_SHOP, families: FAMILIES });
const ask = (survey: Survey) => advise(input(survey));

describe('what an answer moved', () => {
  it('phosphate closes zinc and opens nothing (docs/trade.md: zinc must touch the steel)', () => {
    const m = movesOf(ask(PLAIN), ask({ ...PLAIN, phosphated: 'yes' }));
    expect(m.families.went).toContain('zinc-epoxy');
    expect(m.families.came).toEqual([]);
  });
  it('back again moves the same the other way; the same answer moves nothing', () => {
    const [a, b] = [ask(PLAIN), ask({ ...PLAIN, rust: 'D', pits: 'deep', category: 'C5' })];
    const [there, back] = [movesOf(a, b), movesOf(b, a)];
    expect([...there.families.came].sort()).toEqual([...back.families.went].sort());
    expect(there.ways.went).toEqual(back.ways.came);
    expect(movesOf(a, ask({ ...PLAIN }))).toMatchObject({
      ways: { came: [], went: [] },
      families: { came: [], went: [] },
      lead: null,
    });
  });
});

describe('which question is worth most', () => {
  const bracket = withKind({ ...blankSurvey('steel-plate'), massKg: 6, areaM2: 0.3 }, 'bracket');
  it('old paint and rust move more than whether tools may hit it; an answer that moves nothing is worth nothing', () => {
    const now = ask(bracket);
    const worth = (f: 'coating' | 'rust' | 'dark'): number => worthOf(input(bracket), now, f);
    expect(worth('coating')).toBeGreaterThan(0.3);
    expect(worth('rust')).toBeGreaterThan(0.3);
    expect(worth('dark')).toBeLessThan(0.05);
  });
  it('asks five at most: the first look, then what moves most, then nothing that moves nothing', () => {
    const all = new Map(openFields(bracket).map((f, i) => [f, i / 100] as const));
    const asked = questionsNext(bracket, all, [], []);
    expect(asked).toHaveLength(MOST_QUESTIONS);
    expect(asked.slice(0, 4)).toEqual(['coating', 'rust', 'oil', 'category']);
    const idle = new Map(openFields(bracket).map((f) => [f, 0] as const));
    expect(questionsNext(bracket, idle, [], [])).toHaveLength(4);
    expect(questionsNext(bracket, idle, ['oil'], ['lagging'])).toEqual([
      'coating',
      'rust',
      'category',
      'lagging',
    ]);
  });
  it('never asks what is known or what cannot matter here', () => {
    expect(openFields(PLAIN)).toEqual([]);
    expect(openFields({ ...bracket, coating: 'none' })).not.toContain('legacy');
    expect(openFields(blankSurvey('aluminium-cast'))).not.toContain('rust');
  });
});

describe('levels of a section', () => {
  it('what is taken before the first coat and after it is all that is taken', () => {
    for (const r of ask(PLAIN).routes.filter((x) => x.answer.kind === 'paint')) {
      const at = levelsOf(PLAIN, r.steps, FAMILIES);
      for (const f of ['hours', 'days', 'cost', 'filmUm'] as const)
        expect(at.preparation[f] + at.coats[f]).toBeCloseTo(r.figures[f], 9);
      expect(at.preparation.filmUm).toBe(0);
      expect(at.coats.hours).toBeGreaterThan(0);
    }
  });
  it('every published life is a stretch of years (ISO 12944-1:2017 classes, quoted from memory)', () => {
    expect(lifeSpan({ lifeYears: '15–25' })).toEqual([15, 25]);
    expect(lifeSpan({ lifeYears: 'over 25' })).toEqual([25, null]);
    expect(lifeSpan({ lifeYears: null })).toBeNull();
    const published = ask({ ...PLAIN, durability: 'H' }).routes.flatMap((r) => (r.lifeYears ? [r] : []));
    expect(published.length).toBeGreaterThan(0);
    for (const r of published) expect(lifeSpan(r)).not.toBeNull();
  });
});
