import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { MachinesResponse, MachineView, PartCard } from '@calvetta/contract';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { Section } from '../../drawings/Section.tsx';
import { Rename } from '../../forms/Rename.tsx';
import { useThings } from '../../record/useThings.ts';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { useTicked } from '../../state/ticked.ts';
import { Menu } from '../../ui/Menu.tsx';
import { TickBox } from '../../ui/TickBox.tsx';
import { Sorted, useRowInHand } from '../../ui/Sortable.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { useRowPx } from '../../ui/useMedia.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { actView } from '../../words/actText.ts';
import { PutAway } from '../settings/PutAway.tsx';
import { isOff, passes, type Filter } from './filter.ts';
import { assemblyListed } from './listed.ts';
import { beforeAt, beforeEarlier, beforeLater, carried } from './order.ts';

interface Props {
  readonly assembly: MachineView['assemblies'][number];
  /** Ids of the machine's assemblies, in their order. */
  readonly order: readonly string[];
  readonly machineId: string;
  readonly data: MachinesResponse;
  readonly filter: Filter;
}

export function Assembly({ assembly, order, machineId, data, filter }: Props) {
  const things = useThings();
  const show = useDialogs((s) => s.show);
  const { parts: ticked, lastId, set: tick } = useTicked();
  const { assemblyId, name, version } = assembly;
  const inUse = assembly.parts.filter((p) => !p.isAway);
  const shown = inUse.filter((p) => passes(p, filter));
  if (shown.length === 0 && !isOff(filter)) return null;
  const move = (before: string | null): void =>
    things.quietly(things.change('assemblies', assemblyId, name, { version, before }, `Moved: ${name}`));
  const [earlier, later] = [beforeEarlier(order, assemblyId), beforeLater(order, assemblyId)];
  return (
    <div className="border-t border-line px-3 pb-1">
      <div className="flex items-center justify-between">
        <h2 className="figure flex items-center gap-2 text-[14px] text-quiet">
          <TickBox
            label={`All of ${name}`}
            isOn={shown.length > 0 && shown.every((p) => ticked.has(p.partId))}
            onChange={(isOn) => tick(shown, isOn)}
          />
          <Rename
            name={name}
            label="Name of the assembly"
            onRename={(now) =>
              things.quietly(things.change('assemblies', assemblyId, now, { version, name: now }))
            }
          />
        </h2>
        <Menu
          label={`What to do with ${name}`}
          items={[
            { text: 'Add a part', run: () => show({ kind: 'new-part', machineId, assemblyId }) },
            ...(earlier === undefined ? [] : [{ text: 'Move up', run: () => move(earlier) }]),
            ...(later === undefined ? [] : [{ text: 'Move down', run: () => move(later) }]),
            {
              text: 'Remove',
              run: () => things.quietly(things.remove(assemblyListed(machineId, assembly))),
            },
          ]}
        />
      </div>
      <Carried shown={shown} things={things}>
        {(parts) =>
          parts.map((p) => (
            <PartLine
              key={p.partId}
              card={p}
              order={inUse.map((x) => x.partId)}
              data={data}
              isTicked={ticked.has(p.partId)}
              onTick={(isOn, withShift) => tick(withShift ? between(shown, lastId, p.partId) : [p], isOn)}
            />
          ))
        }
      </Carried>
      <PutAway
        things={assembly.parts
          .filter((p) => p.isAway)
          .map((p) => ({ path: 'parts', id: p.partId, name: p.name, version: p.version, again: null }))}
      />
    </div>
  );
}

interface CarriedProps {
  readonly shown: readonly PartCard[];
  readonly things: ReturnType<typeof useThings>;
  readonly children: (parts: readonly PartCard[]) => ReactNode;
}

/** The parts of an assembly, carried by their handles; a part stands where it was laid until the shop has heard of it. */
function Carried({ shown, things, children }: CarriedProps) {
  const ids = shown.map((p) => p.partId);
  const [laid, setLaid] = useState<{ readonly over: string; readonly ids: readonly string[] } | null>(null);
  const now = laid?.over === ids.join() ? laid.ids : ids;
  const move = (from: number, to: number): void => {
    const { partId, name, version } = shown.find((p) => p.partId === now[from])!;
    setLaid({ over: ids.join(), ids: carried(now, from, to) });
    const before = beforeAt(now, from, to);
    things.quietly(
      things.change('parts', partId, name, { version, before }, `Moved: ${name}`).catch((e: unknown) => {
        setLaid(null);
        throw e;
      }),
    );
  };
  return (
    <Sorted ids={now} onMove={move}>
      <ul>{children(now.map((id) => shown.find((p) => p.partId === id)!))}</ul>
    </Sorted>
  );
}

interface LineProps {
  readonly card: PartCard;
  readonly order: readonly string[];
  readonly data: MachinesResponse;
  readonly isTicked: boolean;
  readonly onTick: (isOn: boolean, withShift: boolean) => void;
}

/** From the one that was ticked before to this one. */
function between(parts: readonly PartCard[], fromId: string | null, toId: string): readonly PartCard[] {
  const [a, b] = [fromId, toId].map((id) => parts.findIndex((p) => p.partId === id));
  return a! < 0
    ? parts.filter((p) => p.partId === toId)
    : parts.slice(Math.min(a!, b!), Math.max(a!, b!) + 1);
}

function PartLine({ card, order, data, isTicked, onTick }: LineProps) {
  const nowMs = useNowMs();
  const units = useUnits();
  const rowPx = useRowPx();
  const place = data.places.find((p) => p.placeId === card.placeId);
  const fullUm = 320;
  const { ref, style, isInHand, handle } = useRowInHand(card.partId, `Take ${card.name} in hand`);
  return (
    <li
      ref={ref}
      style={style}
      className={`flex items-center border-t border-line/60 ${isInHand ? 'relative z-10 bg-ground outline-2 outline-mark' : ''}`}
    >
      {handle}
      <TickBox label={`Tick ${card.name}`} isOn={isTicked} onChange={onTick} />
      <Link
        to={`/parts/${encodeURIComponent(card.partId)}`}
        data-part={card.partId}
        data-row={card.partId}
        data-state={card.headline}
        className="grid min-h-(--row) min-w-0 flex-1 grid-cols-[44px_minmax(140px,210px)_84px_minmax(0,1fr)_170px] items-center gap-x-3 hover:bg-ground max-md:grid-cols-[44px_minmax(0,1fr)_auto]"
      >
        <Section
          layers={card.layers}
          specifiedUm={card.specifiedUm}
          profileUm={card.profileUm}
          widthPx={44}
          heightPx={rowPx - 5}
          fullUm={fullUm}
          label={`Film of ${card.name}`}
        />
        <span className="min-w-0">
          <span className="block truncate font-semibold">{card.name}</span>
          <span className="block truncate text-[13px] text-quiet md:hidden">
            {actView(card, nowMs, data.zone, units).text}
          </span>
        </span>
        <StateWord headline={card.headline} />
        <span className="truncate text-[13px] max-md:hidden">
          {actView(card, nowMs, data.zone, units).text}
        </span>
        <span className="truncate text-right text-[13px] text-quiet max-md:hidden">
          {SUBSTRATE_WORDS[card.substrate]} · {place?.name ?? 'no place'}
        </span>
      </Link>
      <PartMenu card={card} order={order} />
    </li>
  );
}

function PartMenu({ card, order }: Pick<LineProps, 'card' | 'order'>) {
  const things = useThings();
  const show = useDialogs((s) => s.show);
  const { partId, name, version } = card;
  const move = (before: string | null): void =>
    things.quietly(things.change('parts', partId, name, { version, before }, `Moved: ${name}`));
  const [earlier, later] = [beforeEarlier(order, partId), beforeLater(order, partId)];
  return (
    <Menu
      label={`What to do with ${name}`}
      items={[
        { text: 'Edit the part', run: () => show({ kind: 'edit', partId }) },
        { text: 'Log something', run: () => show({ kind: 'log', partId, factKind: 'moved' }) },
        ...(earlier === undefined ? [] : [{ text: 'Move up', run: () => move(earlier) }]),
        ...(later === undefined ? [] : [{ text: 'Move down', run: () => move(later) }]),
        {
          text: 'Remove',
          run: () => things.quietly(things.remove({ path: 'parts', id: partId, name, version, again: null })),
        },
      ]}
    />
  );
}
