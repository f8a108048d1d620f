import psychrolib from 'psychrolib';
import { dewPointOverWaterC } from '@calvetta/core';
import { bestMs, type Line } from './print.ts';

const CALLS = 200_000;

/** Against psychrolib 1.1.1, GetTDewPointFromRelHum (ASHRAE Handbook, Fundamentals, 2017, ch. 1). */
export function benchDewPoint(): Line[] {
  psychrolib.SetUnitSystem(psychrolib.SI);
  let sink = 0;
  const at = (i: number): readonly [number, number] => [(i % 400) / 10, 20 + (i % 80)];
  const ours = bestMs(5, () => {
    for (let i = 0; i < CALLS; i++) {
      const [t, rh] = at(i);
      const r = dewPointOverWaterC(t, rh);
      if (r.ok) sink += r.value;
    }
  });
  const theirs = bestMs(5, () => {
    for (let i = 0; i < CALLS / 10; i++) {
      const [t, rh] = at(i);
      sink += psychrolib.GetTDewPointFromRelHum(t, rh / 100);
    }
  });
  const oursNs = (ours * 1e6) / CALLS;
  const theirsNs = (theirs * 1e6) / (CALLS / 10);
  return [
    { what: 'baseline: psychrolib', value: `${theirsNs.toFixed(0)} ns` },
    {
      what: 'Calvetta',
      value: `${oursNs.toFixed(0)} ns, ${(theirsNs / oursNs).toFixed(1)} × faster (aim ≥ 1)${Number.isFinite(sink) ? '' : ' !'}`,
    },
  ];
}
