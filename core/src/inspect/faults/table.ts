import { DAY_MS } from '../../base/time.ts';
import type { EvidenceCode } from './ids.ts';
import type { FaultId, SeenAfter } from './ids.ts';

/**
 * Faults of a film, what can cause each, how likely that is before anything is known (3, 2, 1), and which evidence speaks for or
 * against it. All of it is common practice with no published source; the names are standard terms (ISO 4618), as quoted from memory.
 */

/** Which films a cause can be of at all: what cannot be is sifted out before anything is weighed. */
export const ONLY = ['two-pack', 'one-pack', 'baked', 'epoxy-below', 'over-filler'] as const;
export type Only = (typeof ONLY)[number];

export type Level = 'forStrong' | 'for' | 'against' | 'againstStrong';
/** Codes of one level are any of: together they count once. */
export type Speaks = Readonly<Partial<Record<Level, readonly EvidenceCode[]>>>;
export interface Cause<I extends string = string> {
  readonly causeId: I;
  readonly prior: 1 | 2 | 3;
  readonly speaks: Speaks;
  readonly only: Only | null;
}
const cause = <const I extends string>(
  causeId: I,
  prior: 1 | 2 | 3,
  speaks: Speaks,
  only: Only | null = null,
): Cause<I> => ({ causeId, prior, speaks, only });

export const FAULT_CAUSES = {
  sag: [
    cause('wet-film', 3, {
      forStrong: ['film-thick'],
      for: ['stacked-slow', 'gun-near', 'over-thinned'],
      against: ['film-thin'],
    }),
    cause('slow-thinner-for-the-cold', 2, {
      forStrong: ['thinner-slow'],
      for: ['cold-when-laid'],
      against: ['hot-surface', 'thinner-fast'],
    }),
    cause('gun-near-or-slow', 2, {
      forStrong: ['gun-near', 'overlap-uneven'],
      for: ['film-thick'],
      againstStrong: ['gun-far'],
    }),
    cause('gap-short', 2, { forStrong: ['gap-short'], for: ['stacked-slow', 'cold-when-laid'] }),
    cause('over-thinned', 2, { forStrong: ['over-thinned'], againstStrong: ['unthinned-thick'] }),
    cause('cold-part', 2, {
      forStrong: ['cold-when-laid'],
      for: ['near-dew'],
      againstStrong: ['hot-surface'],
    }),
  ],
  'dry-spray': [
    cause('thinner-fast-for-the-heat', 3, {
      forStrong: ['thinner-fast'],
      for: ['hot-surface'],
      againstStrong: ['thinner-slow'],
      against: ['cold-when-laid'],
    }),
    cause('gun-far', 2, { forStrong: ['gun-far'], againstStrong: ['gun-near'] }),
    cause('hot-part', 2, { forStrong: ['hot-surface'], for: ['thinner-fast'], against: ['cold-when-laid'] }),
    cause('pressure-high', 1, { forStrong: ['pressure-high'], againstStrong: ['pressure-low'] }),
    cause('draught', 1, { forStrong: ['draught'] }),
    cause('falls-on-set-paint', 2, {
      forStrong: ['overspray-on-set'],
      for: ['heavy-overspray', 'pressure-high'],
    }),
  ],
  cobwebbing: [
    cause('thick-or-old-paint', 3, {
      forStrong: ['unthinned-thick', 'paint-old'],
      againstStrong: ['over-thinned'],
    }),
    cause('tip-or-pressure', 1, { for: ['tip-wrong', 'pressure-high', 'pressure-low'] }),
    cause('fast-solvent', 1, {
      forStrong: ['thinner-fast'],
      for: ['hot-surface'],
      againstStrong: ['thinner-slow'],
    }),
  ],
  'orange-peel': [
    cause('thick-or-cold-paint', 2, {
      forStrong: ['unthinned-thick'],
      for: ['cold-when-laid'],
      againstStrong: ['over-thinned'],
    }),
    cause('fast-or-hot', 2, { forStrong: ['thinner-fast', 'hot-surface'], againstStrong: ['thinner-slow'] }),
    cause('pressure-low', 2, {
      forStrong: ['pressure-low'],
      for: ['tip-wrong'],
      againstStrong: ['pressure-high'],
    }),
    cause('gun-far', 1, { forStrong: ['gun-far'], againstStrong: ['gun-near'] }),
    cause('film-thin', 1, { forStrong: ['film-thin'], againstStrong: ['film-thick'] }),
  ],
  craters: [
    cause('silicone-wax-oil', 3, { forStrong: ['silicone-near'], for: ['bare-hand', 'oil'] }),
    cause('not-degreased', 2, { forStrong: ['not-degreased'], for: ['not-wiped', 'bare-hand', 'oil'] }),
    cause('air-line', 2, { forStrong: ['line-wet-or-oily'] }),
    cause('old-polish-below', 1, { forStrong: ['old-polish'], for: ['old-coat-kept'] }),
  ],
  blush: [
    cause('damp-air-and-fast-thinner', 3, {
      forStrong: ['air-damp', 'thinner-fast'],
      for: ['near-dew', 'cold-when-laid'],
      againstStrong: ['thinner-slow', 'air-dry'],
    }),
    cause('near-dew', 2, { forStrong: ['dew'], for: ['near-dew'], againstStrong: ['air-dry'] }),
    cause('water-in-the-air', 1, { forStrong: ['line-wet-or-oily'] }),
  ],
  bloom: [
    cause('cold-or-damp-cure', 3, {
      forStrong: ['cold-while-curing', 'air-damp'],
      for: ['near-dew', 'cure-stalled'],
      againstStrong: ['air-dry'],
    }),
    cause('dew', 3, { forStrong: ['dew'], for: ['near-dew', 'air-damp'], againstStrong: ['air-dry'] }),
    cause('heater-fumes', 2, { forStrong: ['fuel-heater'] }),
    cause('no-induction', 1, { forStrong: ['no-induction'] }, 'two-pack'),
    cause('ratio', 1, { forStrong: ['ratio-off'], for: ['mixed-by-eye'] }, 'two-pack'),
  ],
  'solvent-pop': [
    cause('wet-film', 3, { forStrong: ['film-thick'], for: ['stacked-slow'], against: ['film-thin'] }),
    cause('flash-short', 2, { forStrong: ['gap-short'], for: ['stacked-slow', 'cold-when-laid'] }),
    cause('hot', 2, { forStrong: ['hot-surface', 'heated-soon'], against: ['cold-when-laid'] }),
    cause(
      'skinned',
      1,
      { forStrong: ['thinner-fast'], for: ['draught', 'hot-surface'], againstStrong: ['thinner-slow'] },
      'one-pack',
    ),
  ],
  pinholes: [
    cause('porous-metal-or-weld', 3, { forStrong: ['porous'] }),
    cause('air-in-filler', 2, { forStrong: ['filler-below'] }, 'over-filler'),
    cause('pits-not-cleaned', 2, { forStrong: ['pits'], for: ['rust-left'] }),
    cause('first-pass-thick', 1, { forStrong: ['film-thick'], against: ['film-thin'] }),
    cause('burst-pop', 2, { forStrong: ['gap-short', 'hot-surface'], for: ['film-thick', 'thinner-fast'] }),
  ],
  lifting: [
    cause('lift-band', 3, { forStrong: ['in-lift-band'] }),
    cause('solvent-on-old-or-one-pack', 3, {
      forStrong: ['pair-forbidden', 'old-coat-softens'],
      for: ['old-coat-kept'],
      againstStrong: ['old-coat-resists', 'stripped-to-metal'],
    }),
    cause('etch-on-paint', 2, { forStrong: ['etch-on-paint'], againstStrong: ['stripped-to-metal'] }),
    cause('below-uncured', 2, {
      forStrong: ['gap-short', 'suspect-below'],
      for: ['cold-while-curing', 'stacked-slow'],
    }),
    cause(
      'thick-one-pack-skin',
      2,
      { forStrong: ['stacked-slow', 'film-thick'], for: ['hot-surface'], against: ['film-thin'] },
      'one-pack',
    ),
  ],
  soft: [
    cause('piled', 3, {
      forStrong: ['stacked-slow'],
      for: ['gap-short', 'film-thick'],
      against: ['film-thin'],
    }),
    cause('cold', 2, { forStrong: ['cold-while-curing', 'cure-stalled'], againstStrong: ['warm-cure'] }),
    cause('hardener-dead', 2, { forStrong: ['hardener-dead'], for: ['past-pot-life'] }, 'two-pack'),
    cause(
      'ratio',
      2,
      { forStrong: ['ratio-off'], for: ['mixed-by-eye'], againstStrong: ['mixed-by-scale'] },
      'two-pack',
    ),
    cause('acid-of-etch', 1, { forStrong: ['epoxy-on-etch'] }),
    cause('damp', 1, { forStrong: ['air-damp'], for: ['near-dew'], againstStrong: ['air-dry'] }),
    cause('wrong-part-b', 1, { forStrong: ['wrong-hardener'] }, 'two-pack'),
    cause('old-one-pack-tin', 1, { forStrong: ['paint-old'] }, 'one-pack'),
    cause('not-baked', 1, { forStrong: ['not-baked'] }, 'baked'),
  ],
  'off-metal': [
    cause('wrong-primer', 3, { forStrong: ['primer-wrong'], for: ['etch-first'] }),
    cause('no-key-burnished', 2, {
      forStrong: ['not-abraded', 'burnished'],
      for: ['smooth-metal'],
      againstStrong: ['blasted'],
    }),
    cause('oil', 2, {
      forStrong: ['not-degreased', 'oil'],
      for: ['bare-hand', 'not-wiped', 'silicone-near'],
    }),
    cause('phosphate', 2, { forStrong: ['not-rinsed'], againstStrong: ['no-phosphate'] }),
    cause('damp', 2, { forStrong: ['dew'], for: ['near-dew', 'air-damp'], againstStrong: ['air-dry'] }),
    cause('rust-scale-dust-left', 2, {
      forStrong: ['rust-left', 'scale-left', 'dust'],
      for: ['primed-late'],
    }),
  ],
  'between-coats': [
    cause('shut-not-keyed', 3, { forStrong: ['window-shut'], againstStrong: ['in-window', 'keyed'] }),
    cause(
      'bloom',
      2,
      {
        forStrong: ['cold-while-curing', 'air-damp'],
        for: ['near-dew', 'epoxy-below'],
        againstStrong: ['air-dry'],
      },
      'epoxy-below',
    ),
    cause('dirt', 2, { forStrong: ['silicone-near', 'bare-hand'], for: ['not-wiped', 'oil'] }),
    cause('dust', 2, { forStrong: ['dust'], for: ['not-wiped'] }),
    cause('forbidden-pair', 2, { forStrong: ['pair-forbidden'] }),
    cause('damp', 2, { forStrong: ['dew'], for: ['near-dew'], againstStrong: ['air-dry'] }),
    cause('chalked-below', 1, { forStrong: ['in-sun'] }),
  ],
  'rust-through': [
    cause('primed-late', 3, {
      forStrong: ['primed-late'],
      for: ['air-damp', 'near-dew'],
      againstStrong: ['primed-in-time'],
    }),
    cause('salts', 2, { forStrong: ['salt-found'], for: ['salt-air'], againstStrong: ['salt-low'] }),
    cause('edges-peaks', 2, { forStrong: ['film-thin'], for: ['no-stripe-coat', 'sharp-edges'] }),
    cause('pits', 2, { forStrong: ['pits'], for: ['rust-left'] }),
    cause('pinholes', 1, { forStrong: ['pinholes-below'] }),
    cause('crevice', 2, { forStrong: ['laps-or-flexes'] }),
    cause('knocks', 1, { forStrong: ['knocked'] }),
    cause('too-few-coats', 2, { forStrong: ['coats-few'], for: ['film-thin'] }),
  ],
  'dry-blisters': [
    cause('solvent-trapped', 2, {
      forStrong: ['gap-short', 'stacked-slow'],
      for: ['film-thick', 'cold-while-curing'],
    }),
    cause('salts-or-residue', 2, {
      forStrong: ['salt-found', 'not-rinsed'],
      for: ['salt-air', 'bare-hand'],
      againstStrong: ['salt-low'],
    }),
    cause('wetted-early', 2, { forStrong: ['wetted-early'] }),
    cause('wet-filler', 2, { forStrong: ['wet-sanded-filler'], for: ['dew'] }, 'over-filler'),
    cause('air-or-heat', 1, { forStrong: ['hot-surface'], for: ['porous'] }),
  ],
  uneven: [
    cause('swung', 3, { forStrong: ['swung'], againstStrong: ['fixed-when-sprayed'] }),
    cause('overlap', 2, { forStrong: ['overlap-uneven'] }),
    cause('access', 1, { forStrong: ['hard-to-reach'] }),
  ],
  'colour-differs': [
    cause('batches', 3, { forStrong: ['batches-differ'], againstStrong: ['one-batch'] }),
    cause('unstirred', 2, { forStrong: ['not-stirred'] }),
    cause('hiding', 2, { forStrong: ['film-thin'], for: ['coats-few'] }),
    cause('metallic-laid-differently', 2, {
      forStrong: ['metallic'],
      for: ['over-thinned', 'pressure-high', 'pressure-low'],
    }),
    cause('aged-by-light', 1, { forStrong: ['old-colour-faded'] }),
  ],
  bleeding: [
    cause('oil-of-the-iron', 3, {
      forStrong: ['oil'],
      for: ['not-warmed-out', 'cast-iron', 'not-degreased'],
      againstStrong: ['warmed-out'],
    }),
    cause('bitumen-or-dye', 3, { forStrong: ['bitumen-below'] }),
    cause('rust', 2, { forStrong: ['rust-left', 'primed-late'], for: ['salt-found'] }),
    cause('peroxide-of-filler', 2, { forStrong: ['filler-below'] }, 'over-filler'),
  ],
  scratches: [
    cause('grit-coarse', 3, { forStrong: ['grit-coarse'] }),
    cause('primer-shrank', 2, {
      forStrong: ['covered-young'],
      for: ['gap-short', 'film-thick', 'cold-while-curing'],
    }),
    cause('film-thin', 2, { forStrong: ['film-thin'], againstStrong: ['film-thick'] }),
    cause('solvent-swells', 1, { forStrong: ['pair-forbidden'] }),
  ],
  'torn-edge': [
    cause('tape-late', 3, { forStrong: ['unmasked-late'], againstStrong: ['unmasked-soon'] }),
    cause('tape-kind', 1, { forStrong: ['tape-unfit'] }),
    cause('thick-over-it', 1, { forStrong: ['film-thick'] }),
    cause('heat', 1, { forStrong: ['hot-surface'] }),
  ],
  dull: [
    cause('dew', 3, {
      forStrong: ['dew'],
      for: ['near-dew', 'cold-when-laid', 'air-damp', 'laid-outdoors'],
      againstStrong: ['air-dry'],
    }),
    cause('undercoat', 2, { forStrong: ['gap-short'], for: ['overspray-on-set'] }),
    cause('thin', 2, { forStrong: ['film-thin'] }),
    cause('fast-thinner', 1, {
      forStrong: ['thinner-fast'],
      for: ['hot-surface'],
      againstStrong: ['thinner-slow'],
    }),
    cause(
      'ratio-hardener',
      1,
      { forStrong: ['ratio-off', 'hardener-dead'], for: ['mixed-by-eye'] },
      'two-pack',
    ),
  ],
  nibs: [
    cause('dust', 3, { forStrong: ['dust'] }),
    cause('unstrained', 2, { forStrong: ['not-strained'], for: ['paint-old'] }),
  ],
  cracks: [
    cause('thick', 3, { forStrong: ['film-thick'], for: ['stacked-slow'] }),
    cause('hard-over-soft', 2, { forStrong: ['suspect-below', 'pair-forbidden'], for: ['old-coat-kept'] }),
    cause('filler-thick', 2, { forStrong: ['filler-thick'] }, 'over-filler'),
    cause('flexing', 1, { forStrong: ['laps-or-flexes'] }),
  ],
  chalk: [cause('epoxy-in-the-sun', 3, { forStrong: ['in-sun'] })],
  'zinc-flakes': [
    cause('preparation', 3, { forStrong: ['prep-too-little'] }),
    cause('thick', 2, { forStrong: ['film-thick'], againstStrong: ['film-thin'] }),
    cause('alkyd-over', 2, { forStrong: ['pair-forbidden'] }),
    cause('dry-or-unstirred', 2, { forStrong: ['thinner-fast', 'gun-far', 'not-stirred'] }),
    cause('white-salts', 1, { forStrong: ['in-sun'] }),
  ],
  ripples: [
    cause('unfinished', 3, { forStrong: ['low-still-showing'], for: ['filler-soft'] }),
    cause('filler-shrank', 2, { forStrong: ['covered-young'], for: ['filler-thick'] }),
  ],
} as const satisfies Readonly<Record<FaultId, readonly Cause[]>>;

export type CauseIdOf<F extends FaultId> = (typeof FAULT_CAUSES)[F][number]['causeId'];

/** How long after a coat something was seen, by the time between them. */
export function seenAfter(laidMs: number, seenMs: number): SeenAfter {
  const days = (seenMs - laidMs) / DAY_MS;
  if (days < 7) return 'days';
  if (days < 31) return 'weeks';
  return days < 365 ? 'months' : 'years';
}

/** Priors that hold where it was first seen after a year. */
export const LATE_PRIORS: Readonly<Partial<Record<FaultId, Readonly<Record<string, 1 | 2 | 3>>>>> = {
  'rust-through': { 'edges-peaks': 3, 'primed-late': 2 },
};

/** Faults that are taken for one another: finding one, look whether it is not the other. */
export const LOOK_ALIKES: readonly (readonly FaultId[])[] = [
  ['solvent-pop', 'pinholes', 'craters', 'rust-through', 'dry-blisters'],
];

export const causesOf = (fault: FaultId): readonly Cause[] => FAULT_CAUSES[fault];
