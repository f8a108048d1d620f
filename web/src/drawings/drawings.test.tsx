import { describe, expect, it } from '@jest/globals';
import { render } from '@testing-library/react';
import { METRIC, type RibbonSpan } from '@calvetta/core';
import { axisAround, clampX, xOf } from './axis.ts';
import { DewRuler } from './DewRuler.tsx';
import { Section } from './Section.tsx';
import { WindowRibbon } from './WindowRibbon.tsx';

const H = 3_600_000;
const NOW = Date.UTC(2026, 10, 25, 12);
const axis = axisAround(NOW, 42, 420);

describe('the window ribbon', () => {
  const spans: RibbonSpan[] = [
    { state: 'early', prep: 'none', fromMs: NOW - 4 * H, toMs: NOW + 2 * H },
    { state: 'open', prep: 'none', fromMs: NOW + 2 * H, toMs: NOW + 20 * H },
    { state: 'shut', prep: 'abrade', fromMs: NOW + 20 * H, toMs: NOW + 200 * H },
  ];
  const draw = (isHeld: boolean, withWords = false) =>
    render(
      <WindowRibbon
        axis={axis}
        heightPx={28}
        spans={spans}
        nowMs={NOW}
        forecastEndMs={NOW + 72 * H}
        nights={[{ fromMs: NOW + 4 * H, toMs: NOW + 18 * H }]}
        fit={[{ fromMs: NOW + 5 * H, toMs: NOW + 8 * H }]}
        isHeld={isHeld}
        withWords={withWords}
        label="frame: open"
      />,
    ).container;
  const rects = (c: Element, fill: string) => [...c.querySelectorAll(`rect[fill="${fill}"]`)];
  const box = (e: Element) => ({ x: Number(e.getAttribute('x')), width: Number(e.getAttribute('width')) });

  it('lays every span at its time: the open one starts where the early one ends', () => {
    const c = draw(false);
    const all = [...c.querySelectorAll('rect[stroke-width="0.75"]')].map(box);
    for (let i = 1; i < all.length; i++) expect(all[i]!.x).toBeCloseTo(all[i - 1]!.x + all[i - 1]!.width, 6);
    expect(all[0]!.x).toBeCloseTo(xOf(axis, NOW - 4 * H), 6);
  });
  it('dots the forecast where the air is unfit, and nothing that has passed', () => {
    const dots = rects(draw(false), 'url(#t-unfit)').map(box);
    expect(dots[0]!.x).toBeCloseTo(xOf(axis, NOW), 6);
    expect(dots[1]!.x).toBeCloseTo(clampX(axis, NOW + 8 * H), 6);
  });
  it('draws the open span hollow when the air holds it, and words on request', () => {
    expect(draw(true).querySelectorAll('rect[stroke-dasharray="4 2"]').length).toBeGreaterThan(0);
    expect(draw(false).querySelectorAll('rect[stroke-dasharray="4 2"]').length).toBe(0);
    expect(draw(false, true).textContent).toContain('open');
    expect(draw(false).textContent).toBe('');
  });
  it('says what it shows to those who cannot see it', () =>
    expect(draw(false).querySelector('svg')!.getAttribute('aria-label')).toBe('frame: open'));
});

describe('the section', () => {
  const layers = [
    { name: 'Epoxy', colour: '#888888', dftUm: 60, thinnestUm: null, isMeasured: false, isPlanned: false },
    { name: 'Gloss', colour: '#115533', dftUm: 30, thinnestUm: null, isMeasured: false, isPlanned: true },
  ];
  const draw = (heightPx: number) =>
    render(
      <Section
        layers={layers}
        specifiedUm={90}
        profileUm={0}
        widthPx={320}
        heightPx={heightPx}
        fullUm={100}
        labelled={METRIC}
        label="film"
      />,
    ).container;
  it('is to scale: a film of twice the thickness is twice as high', () => {
    const heights = [...draw(216).querySelectorAll('rect')].map((r) => Number(r.getAttribute('height')));
    // 0.6 px is the gap between bands; the valleys of a smooth face add at most a pixel to the first.
    expect(Math.abs(heights[0]! - 2 * heights[1]!)).toBeLessThan(2);
  });
  it('draws what is still to come dashed and says so', () => {
    const c = draw(216);
    expect(c.querySelectorAll('rect[stroke-dasharray]').length).toBe(1);
    expect(c.textContent).toContain('Gloss · to come');
    expect(c.textContent).toContain('specified 90 µm');
  });
});

describe('the dew ruler', () => {
  const marks = [
    { id: 'wet', name: 'Block', surfaceC: 5 },
    { id: 'dry', name: 'Cover', surfaceC: 12 },
  ];
  const draw = (dewPointC: number | null) =>
    render(<DewRuler dewPointC={dewPointC} airC={11} marks={marks} units={METRIC} widthPx={600} />).container;
  it('marks the parts within 3 K of the dew point as in the wet', () => {
    const c = draw(4);
    expect(c.querySelector('svg')!.getAttribute('aria-label')).toBe(
      'Dew point 4.0, 1 of 2 parts within 3 K of it',
    );
    const fills = [...c.querySelectorAll('path')]
      .filter((p) => p.querySelector('title'))
      .map((p) => p.getAttribute('fill'));
    expect(fills).toEqual(['var(--ink)', 'var(--s-open)']);
  });
  it('without a reading draws nothing and says that unknown is no pass', () =>
    expect(draw(null).textContent).toContain('unknown is never a pass'));
});
