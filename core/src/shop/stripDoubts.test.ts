import { describe, expect, it } from '@jest/globals';
import { blankSurvey, type Survey } from '../part/survey.ts';
import { FULL_SHOP } from '../part/shopMeans.ts';
import type { StripMethod } from '../facts/part.ts';
import { familiesOf } from '../products/catalogue/index.ts';
import { RULES } from '../route/rules/index.ts';
import { stripDoubts } from './stripDoubts.ts';

const FAMILIES = familiesOf([]);
const doubts = (survey: Survey, method: StripMethod, what?: string) =>
  stripDoubts({
    survey,
    means: FULL_SHOP,
    families: FAMILIES,
    rules: RULES,
    method,
    steps: what === undefined ? [] : [{ kind: 'strip', what }],
  }).map((r) => [r.ruleId, r.data]);
const sheet = (thicknessMm: number | null): Survey => ({ ...blankSurvey('steel-sheet'), thicknessMm });

// Common practice, no published source: thin sheet warps under grit, and iron media and baths are for iron.
describe('a strip that is logged, held against the metal', () => {
  it('blast on a 0.8 mm skin is doubted with both figures', () => {
    const [[rule, data]] = doubts(sheet(0.8), 'blast') as [[string, Record<string, unknown>]];
    expect(rule).toBe('strip.thin');
    expect(data['mm']).toBe(0.8);
    expect(data['leastMm']).toBeGreaterThan(0.8);
  });
  it('what is thick enough is not, and a word that may mean a gentler act is not either', () => {
    expect(doubts(sheet(6), 'blast')).toEqual([]);
    expect(doubts(sheet(0.8), 'blast', 'dry-ice')).toEqual([]);
    expect(doubts(sheet(0.8), 'scraper')).toEqual([]);
  });
  it('an act that is not for this metal is', () => {
    expect(doubts(blankSurvey('magnesium'), 'bath').map(([r]) => r)).toContain('strip.metals');
    expect(doubts({ ...blankSurvey('steel-plate'), thicknessMm: 8 }, 'bath')).toEqual([]);
  });
  it('what is not known speaks against nothing', () =>
    expect(doubts({ ...blankSurvey('steel-plate'), thicknessMm: null }, 'blast')).toEqual([]));
});
