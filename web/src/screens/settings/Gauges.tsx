import { checksOf, judgeCheck, type GaugeInfo } from '@calvetta/core';
import { useShelf, useShop } from '../../api/queries.ts';
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
  again: { gaugeId: g.gaugeId, name: g.name },
});

/** What films are read with, and how each came through its last check. */
export function Gauges() {
  const shop = useShop().data;
  const things = useThings();
  const gauges = shop?.gauges ?? [];
  const add = (name: string): void => {
    const gaugeId = `g-${newId().slice(0, 12)}`;
    things.quietly(things.make('gauges', gaugeId, name, { gaugeId, name }));
  };
  return (
    <div className="flex flex-col gap-2">
      <p className="text-[13px] text-quiet">
        Try each on its foils before a session. A check that fails puts in doubt whatever was read since the
        last good one.
      </p>
      <ul>
        {gauges
          .filter((g) => !g.isAway)
          .map((g) => (
            <Line key={g.gaugeId} gauge={g} zone={shop?.zone ?? 'UTC'} />
          ))}
      </ul>
      <AddLine label="Another gauge" onAdd={add} />
      <PutAway things={gauges.filter((g) => g.isAway).map(listed)} />
    </div>
  );
}

function Line({ gauge, zone }: { readonly gauge: GaugeInfo; readonly zone: string }) {
  const things = useThings();
  const show = useDialogs((s) => s.show);
  const { gaugeId, name } = gauge;
  const shelf = useShelf().data;
  const last = checksOf(shelf?.facts ?? [], gaugeId).at(-1);
  const passed = last && judgeCheck(last.body.foils, last.body).passed;
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
        <span className={`text-[13px] ${passed === false ? 'text-bad' : 'text-quiet'}`}>
          {shelf === undefined
            ? 'reading…'
            : last === undefined
              ? 'never checked here'
              : `${passed ? 'passed' : 'failed'} ${dayAndTime(last.happenedAtMs, zone)}`}
        </span>
      </span>
      <span className="flex">
        <Button
          isInRow
          aria-label={`Check ${name}`}
          onClick={() => show({ kind: 'gauge-check', gaugeId, name })}
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
