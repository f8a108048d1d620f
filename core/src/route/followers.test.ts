import { describe, expect, it } from '@jest/globals';
import { followOf } from './followers.ts';
import { FAMILIES } from './test/given.ts';

const on = (below: string, above: string) => followOf(FAMILIES.get(below)!, FAMILIES.get(above)!);

// docs/trade.md 4–5, common practice, no published source.
describe('what may go over what', () => {
  it.each([
    ['epoxy-primer', 'gloss-2k'],
    ['epoxy-mastic', 'enamel'],
    ['zinc-epoxy', 'epoxy-mastic'],
    ['zp-alkyd', 'enamel'],
  ])('%s takes %s', (below, above) => expect(on(below, above).verdict).not.toBe('refused'));
  it.each([
    ['zp-alkyd', 'gloss-2k', 'over.two-over-one'],
    ['zinc-epoxy', 'enamel', 'zinc.alkyd-over'],
    ['bitumen', 'gloss-2k', 'over.bitumen'],
    ['epoxy-primer', 'etch-2k', 'etch.on-coat'],
    ['gloss-2k', 'zinc-epoxy', 'zinc.old-paint'],
  ])('%s does not take %s: %s', (below, above, ruleId) => {
    const f = on(below, above);
    expect(f.verdict).toBe('refused');
    expect(f.reasons.map((r) => r.ruleId)).toContain(ruleId);
  });
  it('an etch takes its listed followers only, and at least one of them', () => {
    const etches = [...FAMILIES.values()].filter((f) => f.sheet.role === 'etch');
    for (const etch of etches) {
      const goes = [...FAMILIES.values()].filter((f) => followOf(etch, f).verdict !== 'refused');
      expect(goes.length).toBeGreaterThan(0);
      expect(goes.length).toBeLessThan(FAMILIES.size / 2);
    }
  });
});
