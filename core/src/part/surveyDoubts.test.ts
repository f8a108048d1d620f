import { describe, expect, it } from '@jest/globals';
import type { Survey } from './survey.ts';
import { surveyDoubts } from './surveyDoubts.ts';
import { MATERIALS } from './substrate.ts';
import { PLAIN } from '../route/test/given.ts';

describe('contradictory surveys are questioned', () => {
  const doubts = (over: Partial<Survey>) =>
    surveyDoubts({ ...PLAIN, ...over }, MATERIALS[over.substrate ?? 'steel-plate'].densityKgM3).map(
      (d) => d.code,
    );
  it('the plain one is not', () => expect(doubts({})).toEqual([]));
  it.each([
    [{ substrate: 'aluminium-cast', rust: 'C' }, 'rust-grade-not-steel'],
    [{ thicknessMm: 0 }, 'zero-thickness'],
    [{ massKg: -3 }, 'zero-thickness'],
    // 2·18/(7850·0.006) = 0.76 m²; 9 m² is a decimal point too far.
    [{ areaM2: 9 }, 'mass-area-disagree'],
    [{ coating: 'none', coatKind: 'bitumen' }, 'coat-kind-without-coat'],
    [{ coating: 'none', legacy: 'lead' }, 'legacy-without-coat'],
    [{ rust: 'D' }, 'pits-of-grade'],
    [{ kind: 'aircraft-skin' }, 'kind-not-of-metal'],
    [{ kind: 'boiler' }, 'kind-pressure'],
    [{ kind: 'fuel-tank' }, 'kind-fuel'],
    [{ kind: 'engine-assembled' }, 'assembled-kind'],
    [{ soundShare: 0.5 }, 'share-without-coat'],
    [{ substrate: 'grey-iron', scale: 'yes' }, 'scale-on-casting'],
    [{ fluids: ['brine'] }, 'fluids-without-water'],
    [{ substrate: 'aluminium-cast', rust: 'none', plating: 'cadmium' }, 'cadmium-not-steel'],
    [{ coating: 'sound', bareDays: 3 }, 'bare-under-coat'],
    [{ concealed: 'yes', sun: 'yes' }, 'immersed-concealed-sun'],
    [{ substrate: 'steel-sheet', thicknessMm: 8 }, 'sheet-too-thick'],
    [{ substrate: 'glass-fibre', rust: 'none', heatC: 300 }, 'heat-on-glass-fibre'],
  ] as const)('%j: %s', (over, code) => expect(doubts(over)).toContain(code));
});
