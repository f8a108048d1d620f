import type { MappedReading, PartKind, Spot } from '@calvetta/core';
import { FaceOutline, FilmSpots, SpotCross } from '../../drawings/FaceOutline.tsx';
import { useUnits } from '../../ui/useUnits.ts';

interface Props {
  readonly kind: PartKind;
  /** Where the next reading is taken; null: nobody says. */
  readonly spot: Spot | null;
  readonly onSpot: (spot: Spot) => void;
  readonly map: readonly MappedReading[];
}

/** The part to touch before a reading: where it was taken, so that thin and thick places are seen. May be left out. */
export function WhereRead({ kind, spot, onSpot, map }: Props) {
  const units = useUnits();
  return (
    <figure className="w-full max-w-[300px] min-w-[200px] flex-1">
      <div className="border border-line bg-ground">
        <FaceOutline kind={kind} label="Where the gauge stands" onSpot={onSpot}>
          <FilmSpots readings={map} film={units.film} />
          {spot ? <SpotCross spot={spot} /> : null}
        </FaceOutline>
      </div>
      <figcaption className="text-[13px] text-quiet">
        {spot ? 'The next reading is of here.' : 'Touch where the gauge stands; it can be left out.'}
      </figcaption>
    </figure>
  );
}
