import { useEffect, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { findingsOf, hingeMomentNm, isOpenFinding } from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SUBSTRATE_WORDS, SURFACE_BASIS_WORDS } from '@calvetta/contract/words';
import { usePart } from '../../api/queries.ts';
import { Section } from '../../drawings/Section.tsx';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { useFocusPart } from '../../state/focusPart.ts';
import { Button } from '../../ui/Button.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { StateWord } from '../../ui/StateWord.tsx';
import { duration } from '../../ui/time.ts';
import { useMoney, type Money } from '../../ui/money.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { actView } from '../../words/actText.ts';
import { usePlanned } from '../../words/planned.ts';
import { FilmPanel } from './FilmPanel.tsx';
import { History } from './History.tsx';
import { PartRecord } from './PartRecord.tsx';
import { InspectPanel } from './InspectPanel.tsx';
import { NonConformances } from './NonConformances.tsx';
import { RouteStrip } from './RouteStrip.tsx';
import { SignOffs } from './SignOffs.tsx';
import { TimeBoard } from './TimeBoard.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { chunk } from '../../ui/chunk.tsx';

const Trace = chunk(() => import('./Trace.tsx'), <div className="h-[230px]" />);

/** One part: its film as a section, its windows and temperature on one time axis, its route and its history. */
export default function PartScreen() {
  const { partId = '' } = useParams();
  const part = usePart(partId);
  const setFocus = useFocusPart((s) => s.set);
  useEffect(() => setFocus(partId), [partId, setFocus]);
  if (!part.data) return <Waiting isPage error={part.error} what="part" />;
  return <PartOf part={part.data} />;
}

function PartOf({ part }: { readonly part: PartDetail }) {
  return (
    <>
      <PartHead part={part} />
      <div className="grid gap-5 p-4 lg:grid-cols-[400px_minmax(0,1fr)]">
        <div className="flex flex-col gap-4">
          <BigSection part={part} />
          <Figures part={part} />
          <FilmPanel part={part} />
          <InspectPanel part={part} />
          <RouteStrip part={part} />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <TimeBoard part={part}>{(axis) => <Trace part={part} axis={axis} />}</TimeBoard>
          <PartRecord part={part} />
          <NonConformances part={part} />
          <SignOffs part={part} />
          <History part={part} />
        </div>
      </div>
    </>
  );
}

function PartHead({ part }: { readonly part: PartDetail }) {
  const nowMs = useNowMs();
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const { card } = part;
  const view = actView(card, nowMs, part.zone, units);
  const planned = usePlanned()(card, nowMs, part.zone)?.words ?? null;
  return (
    <header className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-line bg-panel px-4 py-3">
      <div className="min-w-0">
        <p className="text-[13px] text-quiet">
          <Link
            className="underline underline-offset-2"
            to={`/machines/${encodeURIComponent(card.machineId)}`}
          >
            {card.machineName}
          </Link>{' '}
          · {card.assemblyName}
        </p>
        <Heading title={[card.name, card.machineName]} className="text-[26px] leading-tight">
          {card.name}
        </Heading>
      </div>
      <p className="min-w-[240px] flex-1 text-[16px]">
        <StateWord headline={card.headline} isLarge explains="here" /> · {view.text}
        {planned === null ? null : (
          <>
            {' · '}
            <Link to="/plan" className="underline underline-offset-2">
              {planned}
            </Link>
          </>
        )}
      </p>
      <div className="flex flex-wrap gap-2">
        {view.logs === null && view.opens !== 'edit' ? null : (
          <Button
            look={view.isMain ? 'main' : 'plain'}
            onClick={() =>
              show(
                view.logs === null
                  ? { kind: 'edit', partId: card.partId }
                  : { kind: 'log', partId: card.partId, factKind: view.logs },
              )
            }
          >
            {view.button}
          </Button>
        )}
        <Button
          onClick={() =>
            show({ kind: 'log', partId: card.partId, factKind: view.logs === 'coated' ? 'tested' : 'coated' })
          }
        >
          Log…
        </Button>
        <Button onClick={() => show({ kind: 'why', partId: card.partId })}>Why?</Button>
        <Link
          className={`figure inline-flex min-h-11 items-center rounded-sm border px-4 text-[15px] ${view.opens === 'route' ? 'border-chosen bg-chosen text-chosen-ink' : 'border-ink/60 hover:border-ink'}`}
          to={`/parts/${encodeURIComponent(card.partId)}/route`}
        >
          {part.survey ? 'Survey and route' : 'Survey'}
        </Link>
        {card.next ? (
          <Link
            className="figure inline-flex min-h-11 items-center rounded-sm border border-ink/60 px-4 text-[15px] hover:border-ink"
            to={`/mix?part=${encodeURIComponent(card.partId)}`}
          >
            Mix
          </Link>
        ) : null}
        <InspectLink part={part} isNext={view.opens === 'inspect'} />
        <Button look="quiet" onClick={() => show({ kind: 'edit', partId: card.partId })}>
          Edit
        </Button>
      </div>
    </header>
  );
}

/** The way to what was found on the part: how many are open. */
function InspectLink({ part, isNext }: { readonly part: PartDetail; readonly isNext: boolean }) {
  const open = findingsOf(part.facts.filter((f) => f.isStanding)).filter(isOpenFinding).length;
  return (
    <Link
      className={`figure inline-flex min-h-11 items-center rounded-sm border px-4 text-[15px] ${isNext ? 'border-chosen bg-chosen text-chosen-ink' : 'border-ink/60 hover:border-ink'}`}
      to={`/parts/${encodeURIComponent(part.card.partId)}/inspect`}
    >
      {open === 0 ? 'Something wrong?' : open === 1 ? '1 finding' : `${open} findings`}
    </Link>
  );
}

function BigSection({ part }: { readonly part: PartDetail }) {
  const units = useUnits();
  const [ref, width] = useWidth();
  const { card } = part;
  const totalUm = card.layers.reduce((sum, l) => sum + l.dftUm, 0);
  const onUm = card.layers.filter((l) => !l.isPlanned).reduce((sum, l) => sum + l.dftUm, 0);
  return (
    <section aria-label="Section" className="border border-line bg-panel p-3">
      <h2 className="flex items-baseline justify-between text-[16px]">
        Section{' '}
        <span className="text-[14px] text-quiet">
          {units.film(onUm)} on, {units.film(card.specifiedUm)} specified
        </span>
      </h2>
      <div ref={ref}>
        {width > 0 ? (
          <Section
            layers={card.layers}
            specifiedUm={card.specifiedUm}
            profileUm={card.profileUm}
            widthPx={width}
            heightPx={Math.max(170, Math.min(300, 46 + card.layers.length * 34))}
            fullUm={Math.max(totalUm, card.specifiedUm, 60) * 1.06}
            labelled={units.units}
            label={`Film of ${card.name}: ${card.layers.map((l) => `${l.name} ${units.film(l.dftUm)}${l.isPlanned ? ' to come' : ''}`).join(', ')}`}
          />
        ) : null}
      </div>
    </section>
  );
}

/** What paint adds; on a control surface also what it does about the hinge, for the licensed person who re-balances it. */
function paintMass(part: PartDetail): string {
  const kg = part.paintKg ?? 0;
  const mass = kg < 1 ? `${(kg * 1000).toFixed(0)} g` : `${kg.toFixed(2)} kg`;
  const moment = hingeMomentNm(kg, 0.1);
  return part.survey?.criticality.includes('control-surface') && moment.ok
    ? `${mass} · ${moment.value.toFixed(2)} N·m for each 0.1 m behind the hinge: re-balanced by a licensed person`
    : mass;
}

/** Money of the paint on a part, and by the square metre. */
const paintCost = (coins: number, areaM2: number | null, money: Money): string =>
  `${money.price(coins)}${areaM2 === null ? '' : ` · ${money.price(coins / areaM2)} a m²`}, by its mixes`;

function Figures({ part }: { readonly part: PartDetail }) {
  const units = useUnits();
  const { card, conditions, lag } = part;
  const money = useMoney();
  const show = useDialogs((s) => s.show);
  const isSent = card.headline === 'sent';
  const rows: readonly (readonly [string, ReactNode])[] = [
    ['Metal', SUBSTRATE_WORDS[card.substrate]],
    [
      'Place',
      <button
        key="place"
        type="button"
        className="underline underline-offset-2 pointer-coarse:min-h-11"
        onClick={() => show({ kind: 'log', partId: card.partId, factKind: 'moved' })}
      >
        {isSent
          ? `away; else ${conditions.placeName ?? 'nowhere'}`
          : (conditions.placeName ?? 'say where it stands')}
      </button>,
    ],
    [
      'Surface now',
      isSent
        ? 'not known where it is'
        : `${units.temp(conditions.surfaceC)} · ${SURFACE_BASIS_WORDS[conditions.basis]}`,
    ],
    ['Above dew point', isSent || card.marginK === null ? 'unknown' : units.kelvin(card.marginK)],
    ['Area, mass', `${units.area(card.areaM2)} · ${part.massKg === null ? '—' : `${part.massKg} kg`}`],
    ['Lag behind air', lag === null ? 'unknown: give mass and area' : duration(lag.tauS * 1000)],
    ['Colour group', part.colourGroup ?? '—'],
    ...(part.paintKg === null || part.paintKg === 0 ? [] : [['Paint weighs', paintMass(part)] as const]),
    ...(part.paintCents === null
      ? []
      : [['Paint on it', paintCost(part.paintCents, card.areaM2, money)] as const]),
  ];
  return (
    <dl className="grid grid-cols-[120px_1fr] items-baseline border border-line bg-panel px-3 py-2">
      {rows.map(([k, v]) => (
        <div key={k} className="contents">
          <dt className="py-0.5 text-quiet">{k}</dt>
          <dd className="py-0.5">{v}</dd>
        </div>
      ))}
      {part.pairPartId === null ? null : (
        <>
          <dt className="py-0.5 text-quiet">Pair</dt>
          <dd className="py-0.5">
            <Link className="link-alone" to={`/parts/${encodeURIComponent(part.pairPartId)}`}>
              its other side
            </Link>
          </dd>
        </>
      )}
    </dl>
  );
}
