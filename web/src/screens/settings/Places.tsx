import type { PlaceInfo, Probe } from '@calvetta/core';
import { EXPOSURE_WORDS, TRUST_WORDS } from '@calvetta/contract/words';
import { useBench, useShop } from '../../api/queries.ts';
import { useThings } from '../../record/useThings.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { PutAway } from './PutAway.tsx';

const placeListed = ({ placeId, version, isAway: _, ...p }: PlaceInfo) => ({
  path: 'places' as const,
  id: placeId,
  name: p.name,
  version,
  again: { placeId, ...p },
});
const probeListed = ({ probeId, version, isAway: _, ...p }: Probe) => ({
  path: 'probes' as const,
  id: probeId,
  name: p.name,
  version,
  again: { probeId, ...p },
});

/** Where parts stand, and what measures the air there. */
export function Places() {
  const shop = useShop();
  const show = useDialogs((s) => s.show);
  const { places = [], probes = [] } = shop.data ?? {};
  return (
    <div className="flex flex-col gap-2">
      <ul>
        {places
          .filter((p) => !p.isAway)
          .map((p) => (
            <PlaceLine
              key={p.placeId}
              place={p}
              probes={probes.filter((x) => x.placeId === p.placeId && !x.isAway)}
            />
          ))}
      </ul>
      <Button className="self-start" onClick={() => show({ kind: 'place', placeId: null })}>
        Add a place
      </Button>
      <PutAway
        things={[
          ...places.filter((p) => p.isAway).map(placeListed),
          ...probes.filter((p) => p.isAway).map(probeListed),
        ]}
      />
    </div>
  );
}

function PlaceLine({ place, probes }: { readonly place: PlaceInfo; readonly probes: readonly Probe[] }) {
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const things = useThings();
  const { placeId, name } = place;
  const air = useBench().data?.places.find((p) => p.placeId === placeId);
  return (
    <li className="border-t border-line/60 py-1">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <span>
          <span className="font-semibold">{name}</span>{' '}
          <span className="text-[13px] text-quiet">
            {EXPOSURE_WORDS[place.exposure]}
            {place.setpointC === null ? '' : `, heated to ${units.temp(place.setpointC, 0)}`}
          </span>{' '}
          {air && air.trust !== 'fresh' ? (
            <span className="text-[13px] text-bad">{TRUST_WORDS[air.trust]}</span>
          ) : air ? (
            <span className="figure text-[13px]">
              {units.temp(air.airC)} · {units.pct(air.rhPct)}
            </span>
          ) : null}
        </span>
        <span className="flex flex-wrap">
          <Button
            look="quiet"
            isInRow
            aria-label={`Log a reading in ${name}`}
            onClick={() => show({ kind: 'reading', placeId })}
          >
            Log a reading
          </Button>
          <Button
            look="quiet"
            isInRow
            aria-label={`Add a probe in ${name}`}
            onClick={() => show({ kind: 'probe', placeId, probeId: null })}
          >
            Add a probe
          </Button>
          <Button
            look="quiet"
            isInRow
            aria-label={`Edit ${name}`}
            onClick={() => show({ kind: 'place', placeId })}
          >
            Edit
          </Button>
          <Button
            look="quiet"
            isInRow
            aria-label={`Remove ${name}`}
            onClick={() => things.quietly(things.remove(placeListed(place)))}
          >
            Remove
          </Button>
        </span>
      </div>
      <ul className="pl-4 text-[14px]">
        {probes.map((p) => (
          <ProbeLine key={p.probeId} probe={p} />
        ))}
      </ul>
    </li>
  );
}

function ProbeLine({ probe }: { readonly probe: Probe }) {
  const show = useDialogs((s) => s.show);
  const things = useThings();
  const { probeId, placeId, name } = probe;
  return (
    <li className="flex flex-wrap items-center justify-between gap-2">
      <span>
        {name}
        {probe.isSimulated ? <span className="text-[13px] text-quiet"> · simulated</span> : null}
      </span>
      <span className="flex">
        <Button
          look="quiet"
          isInRow
          aria-label={`Edit ${name}`}
          onClick={() => show({ kind: 'probe', placeId, probeId })}
        >
          Edit
        </Button>
        <Button
          look="quiet"
          isInRow
          aria-label={`Remove ${name}`}
          onClick={() => things.quietly(things.remove(probeListed(probe)))}
        >
          Remove
        </Button>
      </span>
    </li>
  );
}
