import type { GaugeInfo, GaugeKind } from '@calvetta/core';
import { usePeopleView, useShop } from '../../api/queries.ts';
import { AddLine } from '../../forms/AddLine.tsx';
import { Rename } from '../../forms/Rename.tsx';
import { useThings } from '../../record/useThings.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { newId } from '../../ui/newId.ts';
import { dayAndTime } from '../../ui/time.ts';
import { PutAway } from './PutAway.tsx';

const listed = (g: GaugeInfo) => ({
  path: 'gauges' as const,
  id: g.gaugeId,
  name: g.name,
  version: g.version,
  again: { gaugeId: g.gaugeId, name: g.name, kind: g.kind },
});

/** What films are read with and paint is weighed on, and how each came through its last check. */
export function Gauges() {
  const shop = useShop().data;
  const things = useThings();
  const gauges = shop?.gauges ?? [];
  const add =
    (kind: GaugeKind) =>
    (name: string): void => {
      const gaugeId = `g-${newId().slice(0, 12)}`;
      things.quietly(things.make('gauges', gaugeId, name, { gaugeId, name, kind }));
    };
  return (
    <div className="flex flex-col gap-2">
      <p className="text-[13px] text-quiet">
        Try a gauge on its foils and a scale with known masses before a session. A check that fails puts in
        doubt whatever was read or weighed since the last good one.
      </p>
      <ul>
        {gauges
          .filter((g) => !g.isAway)
          .map((g) => (
            <Line key={g.gaugeId} gauge={g} zone={shop?.zone ?? 'UTC'} />
          ))}
      </ul>
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <AddLine label="Another film gauge" onAdd={add('film')} />
        <AddLine label="Another scale" onAdd={add('scale')} />
      </div>
      <PutAway things={gauges.filter((g) => g.isAway).map(listed)} />
    </div>
  );
}

function Line({ gauge, zone }: { readonly gauge: GaugeInfo; readonly zone: string }) {
  const things = useThings();
  const show = useDialogs((s) => s.show);
  const { gaugeId, name, kind } = gauge;
  const view = usePeopleView().data;
  const last = view?.gauges.find((g) => g.gaugeId === gaugeId)?.last;
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 border-t border-line/60">
      <span>
        <Rename
          name={name}
          label="Name of the gauge"
          onRename={(to) =>
            things.quietly(things.change('gauges', gaugeId, to, { version: gauge.version, name: to }))
          }
        />
        <span className={`text-[13px] ${last?.passed === false ? 'text-bad' : 'text-quiet'}`}>
          {kind === 'scale' ? 'scale, ' : ''}
          {view === undefined
            ? 'reading…'
            : last == null
              ? 'never checked here'
              : `${last.passed ? 'passed' : 'failed'} ${dayAndTime(last.atMs, zone)}`}
        </span>
      </span>
      <span className="flex">
        <Button
          isInRow
          aria-label={`Check ${name}`}
          onClick={() => show({ kind: 'gauge-check', gaugeId, name, of: kind })}
        >
          Check
        </Button>
        <Button
          look="quiet"
          isInRow
          aria-label={`Remove ${name}`}
          onClick={() => things.quietly(things.remove(listed(gauge)))}
        >
          Remove
        </Button>
      </span>
    </li>
  );
}
