import type { StageTimes } from '../curve.ts';
import type { WindowInterval } from '../sheet.ts';

const SOURCE = 'invented sheet of a generic family; replace by your maker’s';

/** Times at temperatures, `[°C, h]`. */
export const at = (...pairs: readonly (readonly [number, number])[]): StageTimes => ({
  points: pairs.map(([tempC, hours]) => ({ tempC, hours })),
});
/** What an invented sheet says unless it says otherwise. */
export const base = {
  revision: 1,
  cureBy: 'time',
  maxRecoatUnlimited: false,
  followers: [],
  forbidden: [],
  listedFollowersOnly: false,
  applySurfaceMinC: 8,
  applySurfaceMaxC: 35,
  applyAirMinC: 8,
  applyAirMaxC: 35,
  cureMinC: 5,
  rhMaxPct: 85,
  rhMinPct: null,
  dewMarginK: 3,
  stackExponent: 1,
  outdoorLimitH: null,
  applyMinPerM2: 12,
  cautions: ['solvent'],
  source: SOURCE,
} as const;
/** Open from the plain minimum recoat until the times given. */
export const within = (to: StageTimes): WindowInterval => ({
  from: { stage: 'minRecoat', p: 1, type: 'min' },
  to: { times: to, p: 1, type: 'max' },
  prep: 'none',
});
