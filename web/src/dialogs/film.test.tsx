import { render, screen } from '@testing-library/react';
import { describe, expect, it } from '@jest/globals';
import { judgeFilm, type FilmReadBody } from '@calvetta/core';
import { FilmVerdict } from './FilmVerdict.tsx';
import { nominalOf } from './FilmDialog.tsx';
import { gaugeRefusalWords, readGaugeText } from './filmEntry.ts';

const BODY: FilmReadBody = {
  scope: 'system',
  by: 'gauge',
  readingsUm: [125, 103, 135, 145, 345],
  perSpot: 1,
  zero: 'smooth',
  profile: 'medium',
  baseUm: null,
  rule: 'iso-19840',
  nominalUm: 100,
  minUm: null,
  maxUm: null,
};

describe('a gauge’s text', () => {
  it('commas, semicolons with decimal commas, tabs, or one column', () => {
    const um = (text: string) => {
      const r = readGaugeText(text, null);
      return r.ok ? r.value.readingsUm : r.error.code;
    };
    expect(um('No,DFT um\n1,81\n2,79.5')).toEqual([81, 79.5]);
    expect(um('Nr;Film µm\n1;81,5\n2;79')).toEqual([81.5, 79]);
    expect(um('No\tDFT µm\n1\t81')).toEqual([81]);
    expect(um('81 µm\n79 µm')).toEqual([81, 79]);
    expect(um('81\n79')).toBe('which-unit');
  });
  it('each refusal says what would be accepted', () => {
    expect(gaugeRefusalWords({ code: 'which-unit', example: 3.1, asUm: 3.1, asMilUm: 78.74 })).toContain(
      'in mil (79 µm)',
    );
    expect(gaugeRefusalWords({ code: 'no-readings' })).toContain('what can be read');
    expect(gaugeRefusalWords({ code: 'too-thick', line: 4, gotUm: 9000, maxUm: 5000 })).toContain('Line 4');
  });
});

describe('the verdict', () => {
  it('names each requirement, and where to measure again', () => {
    render(<FilmVerdict judgement={judgeFilm(BODY, 1)} body={BODY} />);
    // By hand: 25 off for the profile leaves 100, 78, 110, 120, 320: 78 is thin, 320 above three times 100.
    expect(screen.getByText('not accepted')).toBeTruthy();
    expect(screen.getByText(/25 µm taken off/)).toBeTruthy();
    expect(screen.getByText(/Measure again near no. 2 \(78 µm\), no. 5 \(320 µm\)/)).toBeTruthy();
    expect(screen.getByText(/thinnest at least 80 µm: 78 µm/).className).toContain('text-bad');
  });
  it('too few readings are not a pass', () => {
    const few = { ...BODY, readingsUm: [135, 135] };
    render(<FilmVerdict judgement={judgeFilm(few, 1)} body={few} />);
    expect(screen.getByText('cannot be said yet')).toBeTruthy();
    expect(screen.getByText('needs more readings')).toBeTruthy();
  });
  it('a comb predicts and accepts nothing', () => {
    const comb: FilmReadBody = { ...BODY, by: 'comb', scope: 'coat', readingsUm: [54.5, 68.2] };
    render(<FilmVerdict judgement={judgeFilm(comb, 1)} body={comb} />);
    expect(screen.getByText('a prediction')).toBeTruthy();
  });
  it('PA 2 counts in threes', () => {
    const pa: FilmReadBody = {
      ...BODY,
      rule: 'pa-2',
      perSpot: 3,
      zero: 'on-profile',
      minUm: 80,
      maxUm: 120,
      readingsUm: Array.from({ length: 15 }, (_, i) => 95 + (i % 3) * 5),
    };
    expect(judgeFilm(pa, 4).acceptance!.verdict).toBe('accepted');
    expect(judgeFilm({ ...pa, readingsUm: pa.readingsUm.slice(0, 14) }, 4).acceptance!.verdict).toBe(
      'unknown',
    );
  });
});

describe('the film asked for', () => {
  const layer = (dftUm: number, isPlanned: boolean) => ({
    name: '',
    colour: '#000000',
    dftUm,
    thinnestUm: null,
    isMeasured: false,
    isPlanned,
  });
  it('is what the route specifies of the coats that are on, whatever was logged', () => {
    expect(
      nominalOf({ specifiedUm: 290, layers: [layer(103, false), layer(106, false), layer(90, true)] }),
    ).toBe(200);
    expect(nominalOf({ specifiedUm: 0, layers: [layer(103, false)] })).toBe(103);
  });
});
