import type { LevelStop } from '@calvetta/core';
import { LEVEL_STOP_WORDS, LEVEL_WITH_WORDS } from '@calvetta/contract/words';
import { useUnits } from '../../ui/useUnits.ts';

/** Why not to go on though it still shows, each with what then. */
export function LevelStops({ stops }: { readonly stops: readonly LevelStop[] }) {
  const units = useUnits();
  const figures = (stop: LevelStop): string => {
    switch (stop.why) {
      case 'film-full':
        return `: ${units.film(stop.gotUm)} of ${units.film(stop.limitUm)}`;
      case 'edges-thin':
        return `: ${units.film(stop.gotUm)} where ${units.film(stop.limitUm)} is the least`;
      case 'filler-full':
        return `: ${stop.gotMm.toFixed(1)} mm of ${LEVEL_WITH_WORDS[stop.what]} stay, ${stop.limitMm} mm may`;
      default:
        return '';
    }
  };
  return stops.map((stop) => (
    <p
      key={`${stop.why}${'what' in stop ? stop.what : ''}`}
      className="border-l-4 border-bad bg-ground p-2 text-[16px]"
    >
      <strong>Stop.</strong> {LEVEL_STOP_WORDS[stop.why].is}
      {figures(stop)}. {LEVEL_STOP_WORDS[stop.why].then}
    </p>
  ));
}
