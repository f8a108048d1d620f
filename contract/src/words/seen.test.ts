import { describe, expect, it } from '@jest/globals';
import { seenWords } from './seen.ts';

const figures = {
  temp: (c: number) => `${c.toFixed(1)} °C`,
  area: (m2: number) => `${m2} m²`,
  spread: (k: number) => `${k.toFixed(1)} K`,
};
const seen = (evidence: Record<string, unknown> | null): string => seenWords(evidence, figures).join(', ');

describe('what stood on the page', () => {
  it('is said in words and figures, gates only where one did not pass', () => {
    const gate = (kind: string, status: string, value: number | null = 1, limit = 2) => ({
      kind,
      status,
      value,
      limit,
    });
    const evidence = {
      seenAtMs: 1772736300000,
      headline: 'open',
      act: 'coat-if-accepted',
      conditions: { airC: 14.24, rhPct: 61.4, surfaceC: 13, dewPointC: 6.9, basis: 'lag', trust: 'fresh' },
      gates: [gate('dew-margin', 'pass'), gate('rh-max', 'marginal', 84, 85)],
    };
    expect(seen(evidence)).toBe(
      'open, Coat now, air 14.2 °C, humidity 61 %, metal 13.0 °C, dew point 6.9 °C, humidity at most 85 %: 84 %, marginal',
    );
    expect(seen({ gates: [gate('dew-margin', 'pass'), gate('rh-max', 'pass')] })).toBe('all 2 gates passed');
    expect(
      seen({ gates: [gate('dew-margin', 'fail', 2.4, 3), gate('surface-min', 'unknown', null, 10)] }),
    ).toBe('surface above dew point 3.0 K: 2.4 K, fail, surface at least 10.0 °C: unknown');
    expect(seen({ verdict: 'refused', areaM2: 2 })).toBe('film refused, 2 m²');
  });
  it('says nothing of what it does not know, and never a code', () => {
    expect(seen(null)).toBe('');
    expect(seen({ headline: 'of another time', gates: 'none', conditions: [1], act: 7, x: 'y' })).toBe('');
    expect(seen({ conditions: { airC: '14' } })).toBe('');
    // A gate that did not pass is said, known by name or not.
    expect(seen({ gates: [null, { kind: 'moon-phase', status: 'fail' }] })).toBe(
      'a gate: unknown, a gate: fail',
    );
  });
});
