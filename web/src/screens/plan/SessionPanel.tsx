import { Link } from 'react-router';
import { sessionCard, type PlanView, type SessionCard, type SessionEntry } from '@calvetta/core';
import { CAUTION_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { clockTime, dayAndTime } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { WhoDoesWhat } from './WhoDoesWhat.tsx';
import { blockWords, isRisky, timeWords } from './planWords.ts';

interface Props {
  readonly view: PlanView;
  readonly index: number;
  readonly opId: string | null;
  readonly onBlock: (opId: string) => void;
  readonly onLose: (sessionMs: number) => void;
}

/** One session as a card in the order of its work: what must be done then, what may slip, what hangs overnight. */
export function SessionPanel({ view, index, opId, onBlock, onLose }: Props) {
  const units = useUnits();
  const session = view.sessions[index];
  if (!session) return null;
  const card = sessionCard(view, index);
  const next = view.sessions[index + 1];
  const may = card.entries.filter((e) => !e.isMust);
  const must = card.entries.filter((e) => e.isMust);
  return (
    <section aria-label="The session" className="flex flex-col gap-2">
      <h2 className="text-[18px] leading-tight">
        {dayAndTime(session.fromMs, view.zone)}–{clockTime(session.toMs, view.zone)}
      </h2>
      <WhoDoesWhat view={view} index={index} card={card} />
      {card.entries.length === 0 ? <p className="text-quiet">Nothing is planned for it.</p> : null}
      {card.heat.map((h) => (
        <p key={h.placeId} className="text-[14px]">
          <span className="figure">{h.placeName} warm</span>, {units.temp(h.airC, 0)},{' '}
          {h.byMs <= view.nowMs ? 'from now on' : `by ${timeWords(h.byMs, view)}`}: castings follow hours
          later.
        </p>
      ))}
      {card.runs.map((r) => (
        <RunLine key={r.runId} run={r} zone={view.zone} isNow={index === 0} />
      ))}
      {must.length > 0 ? (
        <>
          <h3 className="figure text-[14px]">
            Cannot wait{next ? ` until ${timeWords(next.fromMs, view)}` : ''}
          </h3>
          <Entries entries={must} view={view} opId={opId} onBlock={onBlock} />
        </>
      ) : null}
      {may.length > 0 ? (
        <>
          {must.length > 0 ? <h3 className="figure text-[14px]">May slip</h3> : null}
          <Entries entries={may} view={view} opId={opId} onBlock={onBlock} />
        </>
      ) : null}
      <Cuts cuts={card.cuts} view={view} />
      <Overnight card={card} view={view} />
      <Cautions entries={card.entries} />
      <div className="flex flex-wrap gap-2 print:hidden">
        <Button isInRow onClick={() => onLose(session.fromMs)}>
          What if nobody comes then?
        </Button>
        <Button isInRow onClick={() => window.print()}>
          Print it
        </Button>
      </div>
    </section>
  );
}

/** One gun-load: what is mixed, for which parts, and when the gun is clean again. */
function RunLine({
  run,
  zone,
  isNow,
}: {
  readonly run: PlanView['runs'][number];
  readonly zone: string;
  /** It is of the next session: it can be started. */
  readonly isNow: boolean;
}) {
  const units = useUnits();
  return (
    <p className="border-l-4 pl-2" style={{ borderColor: run.bandColour }}>
      <span className="figure">
        {run.name}
        {run.colour === null ? '' : `, ${run.colour}`} by {run.tool}
      </span>
      : {clockTime(run.fromMs, zone)}–{clockTime(run.toMs, zone)} with setting up and cleaning,{' '}
      {run.parts.length === 1 ? 'one coat' : `${run.parts.length} coats`},{' '}
      {run.mixedMl === null ? 'area not known' : `mix ${units.volume(run.mixedMl)}`}
      {run.mixes > 1 ? ` in ${run.mixes} mixes` : ''}
      <Mix run={run} />. {run.placeName}.{' '}
      {isNow ? (
        <Link
          className="underline underline-offset-2 print:hidden"
          to={`/run?${new URLSearchParams({ job: run.jobKey, parts: run.partIds.join(',') }).toString()}`}
        >
          Start this run
        </Link>
      ) : null}
    </p>
  );
}

const MIX_WORDS = { a: 'A', b: 'B', thinner: 'thinner' } as const;
/** What one mix is poured from, and the marks on the cup. */
function Mix({ run: { mix, mixes } }: { readonly run: PlanView['runs'][number] }) {
  const units = useUnits();
  if (!mix) return null;
  const parts = [
    `A ${units.volume(mix.aMl)}`,
    ...(mix.bMl > 0 ? [`B ${units.volume(mix.bMl)}`] : []),
    ...(mix.thinnerMl >= 1 ? [`thinner ${units.volume(mix.thinnerMl)}`] : []),
  ];
  const marks = mix.cup?.marks.map((m) => `${MIX_WORDS[m.part]} to ${m.heightMm.toFixed(0)} mm`);
  return (
    <span className="text-[13px] text-quiet">
      {' '}
      ({mixes > 1 ? 'each ' : ''}
      {parts.join(', ')}
      {mix.cup ? `; ${mix.cup.name}: ${marks!.join(', ')}` : ''})
    </span>
  );
}

/** What lays metal bare may not be begun after these. */
function Cuts({ cuts, view }: { readonly cuts: SessionCard['cuts']; readonly view: PlanView }) {
  return cuts.map((c) => (
    <p key={c.block.opId} className="border-l-4 border-warn pl-2 text-[14px]">
      After <span className="figure">{clockTime(c.lastMs, view.zone)}</span> do not begin on {c.partName}:{' '}
      {blockWords(c.block)}. It could not be coated while the metal is still fit for it.
    </p>
  ));
}

function Entries({
  entries,
  view,
  opId,
  onBlock,
}: {
  readonly entries: readonly SessionEntry[];
} & Pick<Props, 'view' | 'opId' | 'onBlock'>) {
  return (
    <ol className="flex flex-col">
      {entries.map((e) => (
        <li key={`${e.block.opId} ${e.fromMs}`}>
          <button
            type="button"
            onClick={() => onBlock(e.block.opId)}
            aria-pressed={opId === e.block.opId}
            className={`grid w-full grid-cols-[88px_minmax(0,1fr)] gap-1 border-b border-line/60 py-1 text-left hover:bg-ground pointer-coarse:min-h-11 ${opId === e.block.opId ? 'bg-ground' : ''}`}
          >
            <span className="figure text-[13px] text-quiet">
              {clockTime(e.fromMs, view.zone)}–{clockTime(e.toMs, view.zone)}
            </span>
            <span className="leading-tight">
              {e.lane.name}: {blockWords(e.block)}
              {e.block.people > 1 ? `, ${e.block.people} people` : ''}
              {isRisky(e.block) ? <span className="text-warn"> · the air may not hold</span> : ''}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

function Overnight({
  card,
  view,
}: {
  readonly card: ReturnType<typeof sessionCard>;
  readonly view: PlanView;
}) {
  if (card.overnight.length === 0) return null;
  return (
    <p className="text-[13px]">
      <span className="figure">Hangs overnight: </span>
      {card.overnight
        .map((o) => `${o.name} (${o.handleMs === null ? 'long' : `to ${timeWords(o.handleMs, view)}`})`)
        .join(', ')}
      .
    </p>
  );
}

function Cautions({ entries }: { readonly entries: readonly SessionEntry[] }) {
  const codes = [...new Set(entries.flatMap((e) => e.block.coat?.cautions ?? []))];
  return (
    <>
      {codes.map((c) => (
        <p key={c} className="text-[13px] text-warn">
          {CAUTION_WORDS[c] ?? c}
        </p>
      ))}
    </>
  );
}
