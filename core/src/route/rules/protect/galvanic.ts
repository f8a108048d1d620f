import { asks, fires, fromMemory, rule } from '../../rule.ts';
import { anodicGapV } from '../../galvanic.ts';

/** Two metals in a wet joint eat the lesser one: isolate it, and coat the nobler too. */
export const galvanic = rule({
  id: 'protect.galvanic',
  severity: 'warn',
  phase: 'coats',
  source: fromMemory('anodic index of MIL-STD-889; limits by service'),
  remedies: [],
  check: (v) => {
    const other = v.survey.otherMetal;
    if (other === null || v.survey.category === 'C1') return null;
    if (other === 'unknown') return asks('otherMetal');
    const gapV = anodicGapV(v.survey.substrate, other);
    const limitV =
      v.survey.category === 'C4' ||
      v.survey.category === 'C5' ||
      v.survey.category === 'CX' ||
      v.survey.category === 'immersed'
        ? 0.15
        : 0.25;
    return gapV > limitV ? fires({ gapV, limitV, other }) : null;
  },
});
