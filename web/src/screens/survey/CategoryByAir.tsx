import type { Corrosivity } from '@calvetta/core';
import { useClimate, usePlaces } from '../../api/queries.ts';
import { ClimateFinder } from '../air/Climate.tsx';

interface Props {
  readonly onTake: (category: Corrosivity) => void;
}

/** What the outdoor air here says of where the part will live: worked out, proposed, and taken or not. */
export function CategoryByAir({ onTake }: Props) {
  const outdoors = usePlaces().find((p) => p.exposure === 'outdoors');
  return (
    <details className="my-1 text-[14px]">
      <summary className="cursor-pointer text-quiet">
        It will live outdoors near here: what does the air say?
      </summary>
      {outdoors ? (
        <OfPlace placeId={outdoors.placeId} onTake={onTake} />
      ) : (
        <ClimateFinder months={[]} onTake={onTake} />
      )}
    </details>
  );
}

function OfPlace({ placeId, onTake }: Props & { readonly placeId: string }) {
  const climate = useClimate(placeId);
  return <ClimateFinder months={climate.data?.months ?? []} onTake={onTake} />;
}
