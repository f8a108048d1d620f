import { RATIO_SHARE } from '../../mix/recipe.ts';
import {
  coatFact,
  coatOf,
  figure,
  onlyYes,
  word,
  type Readers,
  type Word,
  type FilmRecord,
} from './filmRecord.ts';

/** Evidence from the cup: its ratio, its age, the age of what went into it, and how it was handled. */

/** How A and B were measured, from the mix or from the coat itself. */
const measuredBy = (r: FilmRecord): 'scale' | 'cup' | 'eye' | null =>
  r.mix?.measuredBy ?? coatFact(r)?.body.ratioBy ?? null;
const said = (isSo: boolean | undefined): Word | null => (isSo === undefined ? null : word(!isSo));

export const MIX_EVIDENCE: Readers = {
  'ratio-off': (r) => {
    const off = r.mix?.ratioOff ?? null;
    return off === null ? null : word(off > RATIO_SHARE, figure(100 * off, 100 * RATIO_SHARE, '%off'));
  },
  'mixed-by-eye': (r) => {
    const by = measuredBy(r);
    return by && word(by === 'eye');
  },
  'mixed-by-scale': (r) => {
    const by = measuredBy(r);
    return by && word(by === 'scale');
  },
  'hardener-dead': (r) => {
    const age = r.mix?.hardenerAge ?? null;
    if (age === null) return null;
    return age > 0.5
      ? word(true, figure(100 * age, 100, '%'), age <= 1)
      : word(false, figure(100 * age, 100, '%'));
  },
  'paint-old': (r) => {
    const past = r.mix?.isPaintPast ?? null;
    return past === null ? null : word(past);
  },
  'past-pot-life': (r) =>
    r.mix === null || r.mix.goneMin === null
      ? null
      : word(r.mix.ageMin > r.mix.goneMin, figure(r.mix.ageMin, r.mix.goneMin, 'min')),
  'no-induction': (r) => {
    if (!coatOf(r).sheet.stages.induction) return word(false);
    const usable = r.mix?.usableMin ?? null;
    return usable === null ? null : word(r.mix!.ageMin < usable, figure(r.mix!.ageMin, usable, 'min'));
  },
  'not-stirred': (r) => said(coatFact(r)?.body.isStirred),
  'not-strained': (r) => said(coatFact(r)?.body.isStrained),
  'warmed-out': (r) => onlyYes(r.facts.some((f) => f.kind === 'degreased' && f.body.isWarmedOut === true)),
};
