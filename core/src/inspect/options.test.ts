import { describe, expect, it } from '@jest/globals';
import { blankSurvey, type Survey } from '../part/survey.ts';
import { EVEN_WEIGHTS, repairOptions, wallLeftMm, type RepairInput } from './options.ts';
import { type PitRepair } from './kinds.ts';

const surveyed = (over: Partial<Survey>): Survey => ({
  ...blankSurvey('steel-plate'),
  lagging: 'no',
  fuel: 'no',
  finish: 'working',
  ...over,
});
const asked = (over: Partial<RepairInput>): RepairInput => ({
  survey: surveyed({}),
  depthMm: 1,
  isThrough: false,
  soundMm: 6,
  leastMm: 3,
  areaM2: 0.5,
  weights: EVEN_WEIGHTS,
  ...over,
});
const forbidden = (input: RepairInput, repair: PitRepair) =>
  repairOptions(input).find((o) => o.repair === repair)!.forbidden;

// What may not be done is the caution of the trade; local codes and licensed people come first.
describe('what may be done about lost metal (common practice, no published source)', () => {
  it('left of the wall is what was sound less the pit; unknown is not assumed', () => {
    expect(wallLeftMm(6, 1.4)).toBeCloseTo(4.6, 9);
    expect(wallLeftMm(2, 3)).toBe(0);
    expect([wallLeftMm(null, 1), wallLeftMm(6, null)]).toEqual([null, null]);
  });
  it('a plain bracket with wall to spare may be left, filled, welded or remade', () => {
    const allowed = repairOptions(asked({})).filter((o) => o.forbidden.length === 0);
    expect(allowed.map((o) => o.repair)).toEqual(expect.arrayContaining(['leave', 'fill', 'weld', 'remake']));
    expect(allowed[0]!.repair).toBe('leave');
  });
  it.each([
    ['filler on what holds pressure', { criticality: ['pressure'] }, 'fill', 'pressure'],
    ['filler on a machined face', { features: ['machined'] }, 'fill', 'machined'],
    ['filler where fuel wets it', { fuel: 'yes' }, 'fill', 'fuel-wet'],
    ['filler under water', { category: 'immersed' }, 'fill', 'immersed'],
    ['filler on a control surface', { criticality: ['control-surface'] }, 'fill', 'control-surface'],
    ['welding beside white metal', { features: ['white-metal'] }, 'weld', 'white-metal-near'],
    ['welding where lagging may be', { lagging: 'unknown' }, 'weld', 'lagging-near'],
    ['welding a fuel tank', { fluids: ['petrol'] }, 'weld', 'tank-not-gas-free'],
    ['welding a frame by just anybody', { criticality: ['structural'] }, 'weld', 'licensed-only'],
    ['a patch in a casting', { substrate: 'grey-iron' }, 'patch', 'not-sheet'],
  ] as const)('no %s', (_, over, repair, why) => {
    expect(forbidden(asked({ survey: surveyed(over as unknown as Partial<Survey>) }), repair)).toContain(why);
  });
  it('no filler over 3 mm, none where less wall is left than it needs, none over a hole', () => {
    expect(forbidden(asked({ depthMm: 3.2 }), 'fill')).toContain('too-deep-for-filler');
    expect(forbidden(asked({ depthMm: 4 }), 'leave')).toContain('wall-below-least');
    expect(forbidden(asked({ isThrough: true }), 'fill')).toContain('through');
  });
  it('on a part that is critical what was not measured or asked is no pass, and a licensed person comes first', () => {
    const survey = surveyed({ criticality: ['structural'] });
    expect(forbidden(asked({ survey, soundMm: null }), 'leave')).toEqual(['wall-not-known']);
    expect(forbidden(asked({ survey, leastMm: null }), 'leave')).toEqual(['least-not-asked']);
    expect(repairOptions(asked({ survey }))[0]!.repair).toBe('refer');
    expect(forbidden(asked({ survey: null }), 'fill')).toContain('critical-not-known');
    expect(repairOptions(asked({ survey: null }))[0]!.repair).toBe('refer');
  });
  it('the weights decide the order, and what would show costs where the finish is better than working', () => {
    const order = (weights: RepairInput['weights'], finish: Survey['finish'] = 'working') =>
      repairOptions(asked({ weights, survey: surveyed({ finish }) })).map((o) => o.repair);
    const money = order({ original: 0, hours: 0, money: 1 });
    expect(money.indexOf('fill')).toBeLessThan(money.indexOf('buy'));
    const hours = order({ original: 0, hours: 1, money: 0 });
    expect(hours.indexOf('buy')).toBeLessThan(hours.indexOf('remake'));
    expect(order(EVEN_WEIGHTS, 'show')[0]).toBe('fill');
  });
});
