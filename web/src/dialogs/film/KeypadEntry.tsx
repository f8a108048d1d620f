import { useState } from 'react';
import { filmMap, type FilmReadBody, type PartKind, type Spot } from '@calvetta/core';
import { Keypad } from './Keypad.tsx';
import { WhereRead } from './WhereRead.tsx';

/** A reading, and where it was taken if somebody touched the place. */
export interface Taken {
  readonly um: number;
  readonly spot: Spot | null;
}

interface Props {
  readonly kind: PartKind;
  /** What was taken so far, as it would be stored; null: nothing. */
  readonly body: FilmReadBody | null;
  readonly unit: 'um' | 'mil';
  readonly onTake: (taken: Taken) => void;
}

/** Reading by reading: where the gauge stands, and what it says. */
export function KeypadEntry({ kind, body, unit, onTake }: Props) {
  const [spot, setSpot] = useState<Spot | null>(null);
  return (
    <div className="flex flex-wrap items-start gap-4">
      <Keypad
        onAdd={(um) => {
          onTake({ um, spot });
          setSpot(null);
        }}
        unit={unit}
      />
      <WhereRead kind={kind} spot={spot} onSpot={setSpot} map={body?.by === 'gauge' ? filmMap(body) : []} />
    </div>
  );
}
