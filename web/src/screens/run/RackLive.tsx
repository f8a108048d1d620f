import { useEffect, useState } from 'react';
import { flashMs, nextPass, passOrder, type PassPart, type ProductSheet } from '@calvetta/core';
import type { BenchResponse } from '@calvetta/contract';
import { useRecord } from '../../record/useRecord.ts';
import { refusedWords } from '../../record/refusal.ts';
import { useRun, type Rack, type RackPart } from '../../state/run.ts';
import { Button } from '../../ui/Button.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { clockTime, duration } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { gateReason } from '../../words/actText.ts';
import { RunHours } from './RunHours.tsx';
import { useFlashes } from './useFlashes.ts';

interface Props {
  readonly rack: Rack;
  readonly sheet: ProductSheet;
  /** Null while nobody answers: the rack goes on by itself. */
  readonly bench: BenchResponse | null;
}

/** A clock that a countdown is read off: it ticks by the second. */
function useSeconds(): number {
  const [nowMs, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return nowMs;
}

const asPass = (p: RackPart, passes: number): PassPart => ({
  id: p.partId,
  left: p.isOut || p.isLogged ? 0 : passes - p.passes.length,
  minutes: p.passMin,
  readyMs: p.readyMs ?? 0,
});

/** Which part, which pass, and how long each flash still lasts: read at three metres, touched once a pass. */
export function RackLive({ rack, sheet, bench }: Props) {
  const nowMs = useSeconds();
  const isLoud = useRun((s) => s.isLoud);
  const units = useUnits();
  const flashed = useFlashes(rack, nowMs, isLoud);
  const sprayer = useSprayer(rack, sheet, bench);
  const passes = rack.parts.map((p) => asPass(p, rack.passes));
  const next = nextPass(passes, nowMs);
  const nextPart = next && rack.parts.find((p) => p.partId === next.id)!;
  return (
    <div
      data-theme="dark"
      className={`flex min-h-full flex-col gap-4 p-4 max-md:p-2 ${flashed.size > 0 ? 'bg-chosen text-chosen-ink' : 'bg-ground text-ink'}`}
    >
      <Head rack={rack} sheet={sheet} bench={bench} nowMs={nowMs} passes={passes} />
      {nextPart ? (
        <Now
          part={nextPart}
          rack={rack}
          nowMs={nowMs}
          held={heldWords(bench, nextPart.partId, units)}
          onSprayed={() => sprayer.sprayed(nextPart)}
        />
      ) : (
        <p className="figure text-[32px]">Every coat of this rack is on.</p>
      )}
      <ul aria-label="The rack" className="grid gap-2 md:grid-cols-2">
        {rack.parts.map((p) => (
          <RackLine
            key={p.partId}
            part={p}
            rack={rack}
            nowMs={nowMs}
            isNext={p === nextPart}
            sprayer={sprayer}
          />
        ))}
      </ul>
      {sprayer.trouble === null ? null : (
        <p role="alert" className="border-l-4 border-bad pl-3 text-[18px]">
          {sprayer.trouble}
        </p>
      )}
      <Foot rack={rack} sprayer={sprayer} />
    </div>
  );
}

interface Sprayer {
  /** What could not be stored; null: all was. */
  readonly trouble: string | null;
  /** One more pass is on; with the last one the coat goes on record. */
  readonly sprayed: (p: RackPart) => void;
  /** What is on it is its coat: it goes on record with the passes it has. */
  readonly enough: (p: RackPart) => void;
}

function useSprayer(rack: Rack, sheet: ProductSheet, bench: BenchResponse | null): Sprayer {
  const change = useRun((s) => s.change);
  const record = useRecord();
  const [trouble, setTrouble] = useState<string | null>(null);
  const log = (part: RackPart, passes: readonly number[]): void => {
    setTrouble(null);
    change(part.partId, { passes, isLogged: true });
    record({
      kind: 'coated',
      partId: part.partId,
      partName: part.name,
      face: null,
      happenedMs: Math.max(rack.beganMs, passes[0]! - part.passMin * 60_000),
      endedMs: passes[passes.length - 1]!,
      body: {
        sheetId: rack.sheetId,
        dftUm: part.dftUm,
        tool: rack.tool,
        ...(rack.mixId === null ? {} : { mixId: rack.mixId }),
      },
    }).catch((error: unknown) => {
      // Refused: it is not on record, and the rack goes on saying so.
      change(part.partId, { isLogged: false });
      setTrouble(`${part.name}: ${refusedWords(error, 'the coat could not be stored; try again.')}`);
    });
  };
  return {
    trouble,
    sprayed: (part) => {
      const endMs = Date.now();
      const passes = [...part.passes, endMs];
      if (passes.length >= rack.passes) {
        log(part, passes);
        return;
      }
      const surfaceC = bench?.rows.find((r) => r.partId === part.partId)?.surfaceC ?? null;
      const flash = surfaceC === null ? null : flashMs(sheet, surfaceC);
      change(part.partId, { passes, readyMs: flash === null ? null : endMs + flash });
    },
    enough: (part) => log(part, part.passes),
  };
}

/** The coldest surface on the rack: its flash is the longest. Null: none is known. */
function coldestC(rack: Rack, bench: BenchResponse | null): number | null {
  const known = rack.parts.flatMap((p) => bench?.rows.find((r) => r.partId === p.partId)?.surfaceC ?? []);
  return known.length === 0 ? null : Math.min(...known);
}
function lastPassMs(
  passes: readonly PassPart[],
  surfaceC: number | null,
  sheet: ProductSheet,
  nowMs: number,
): number | null {
  const flash = surfaceC === null ? null : flashMs(sheet, surfaceC);
  const order = flash === null ? [] : passOrder(passes, nowMs, flash);
  return order[order.length - 1]?.toMs ?? null;
}

function Head({
  rack,
  sheet,
  bench,
  nowMs,
  passes,
}: Props & { readonly nowMs: number; readonly passes: readonly PassPart[] }) {
  const done = rack.parts.filter((p) => p.isLogged).length;
  const all = rack.parts.filter((p) => !p.isOut).length;
  const endMs = lastPassMs(passes, coldestC(rack, bench), sheet, nowMs);
  const mix = bench?.mixes.find((m) => m.mixId === rack.mixId);
  const goneMs = mix?.gone?.worstMs ?? null;
  return (
    <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <Heading title={['Run', sheet.name]} className="text-[28px]">
        {sheet.name}
        {rack.colour === null ? '' : `, ${rack.colour}`}
      </Heading>
      <p className="figure text-[24px]">
        {done} of {all} parts coated
      </p>
      {endMs === null || bench === null ? null : (
        <p className="text-[18px]">about {clockTime(endMs, bench.zone)} the last pass</p>
      )}
      {goneMs === null ? null : (
        <p className={`text-[18px] ${goneMs - nowMs < 15 * 60_000 ? 'text-bad' : ''}`}>
          {goneMs > nowMs
            ? `the cup is good for ${duration(goneMs - nowMs)}, at the worst`
            : 'the cup is past its pot life: mix anew'}
        </p>
      )}
    </div>
  );
}

const isReady = (p: RackPart, nowMs: number): boolean => p.readyMs === null || p.readyMs <= nowMs;
const left = (ms: number): string => {
  const s = Math.max(0, Math.ceil(ms / 1000));
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
};

/** The air over a part as it is now, where it is no clear pass: what the gate says, in figures. */
function heldWords(
  bench: BenchResponse | null,
  partId: string,
  units: ReturnType<typeof useUnits>,
): string | null {
  const card = bench?.rows.find((r) => r.partId === partId);
  if (!card?.gate || card.gate.status === 'pass') return null;
  const word = card.gate.status === 'fail' ? 'Hold: the air does not allow it' : 'The air is marginal';
  return `${word}: ${gateReason(card, units)}`;
}

/** The one part that comes next, large. */
function Now({
  part,
  rack,
  nowMs,
  held,
  onSprayed,
}: {
  readonly part: RackPart;
  readonly rack: Rack;
  readonly nowMs: number;
  /** What speaks against spraying now. */
  readonly held: string | null;
  readonly onSprayed: () => void;
}) {
  const ready = isReady(part, nowMs);
  return (
    <section
      aria-label="Next"
      className="flex flex-wrap items-center gap-x-8 gap-y-3 border-2 border-current p-4"
    >
      <div className="min-w-0 flex-1">
        <p className="text-[40px] leading-none font-semibold break-words max-md:text-[30px]">{part.name}</p>
        <p className="figure text-[28px]">
          pass {part.passes.length + 1} of {rack.passes}
          {part.readyMs === null
            ? ' · flash not known: look and feel'
            : ready
              ? ''
              : ` · flashes ${left(part.readyMs - nowMs)} more`}
        </p>
        {held === null ? null : (
          <p role="alert" className="text-[20px] text-bad">
            {held}
          </p>
        )}
      </div>
      <Button look="main" className="min-h-24! px-10! text-[28px]!" disabled={!ready} onClick={onSprayed}>
        Sprayed
      </Button>
    </section>
  );
}

function RackLine({
  part,
  rack,
  nowMs,
  isNext,
  sprayer,
}: {
  readonly part: RackPart;
  readonly rack: Rack;
  readonly nowMs: number;
  readonly isNext: boolean;
  readonly sprayer: Sprayer;
}) {
  const change = useRun((s) => s.change);
  const on = part.passes.length;
  const ready = isReady(part, nowMs);
  const isOpen = !part.isLogged && !part.isOut;
  const word = part.isLogged
    ? 'coated'
    : part.isOut
      ? 'off'
      : on === 0
        ? ''
        : ready
          ? 'ready'
          : left(part.readyMs! - nowMs);
  return (
    <li
      className={`flex flex-wrap items-center gap-x-3 border px-3 py-1 text-[18px] ${isNext ? 'border-current' : 'border-line'} ${isOpen ? '' : 'text-quiet'}`}
    >
      <span
        className="min-w-0 flex-1 truncate max-md:basis-full"
        title={`${part.name} · ${part.machineName}`}
      >
        {part.name}
      </span>
      <span role="img" aria-label={`${on} of ${rack.passes} passes`} className="figure tracking-widest">
        {'●'.repeat(on)}
        {'○'.repeat(Math.max(0, rack.passes - on))}
      </span>
      <span className="figure w-20 text-right">{word}</span>
      {isOpen ? (
        <>
          <Button
            isInRow
            className="min-h-11!"
            disabled={!ready}
            aria-label={`Sprayed: ${part.name}`}
            onClick={() => sprayer.sprayed(part)}
          >
            Sprayed
          </Button>
          {on === 0 ? (
            <Button
              isInRow
              look="quiet"
              className="min-h-11!"
              aria-label={`Take ${part.name} off the rack`}
              onClick={() => change(part.partId, { isOut: true })}
            >
              Off
            </Button>
          ) : (
            <Button
              isInRow
              look="quiet"
              className="min-h-11!"
              aria-label={`${part.name} has enough on: log its coat`}
              onClick={() => sprayer.enough(part)}
            >
              Enough
            </Button>
          )}
        </>
      ) : null}
    </li>
  );
}

/** The end of a run: what has passes on and no coat on record is not forgotten by a touch. */
function Foot({ rack, sprayer }: { readonly rack: Rack; readonly sprayer: Sprayer }) {
  const { isLoud, setLoud, end } = useRun();
  const begun = rack.parts.filter((p) => p.passes.length > 0 && !p.isLogged);
  const [isEnding, setEnding] = useState(false);
  return (
    <div className="mt-auto flex flex-wrap items-center gap-2">
      <Button aria-pressed={isLoud} onClick={() => setLoud(!isLoud)}>
        {isLoud ? 'Sound is on' : 'Sound is off'}
      </Button>
      <RunHours rack={rack} />
      <Button onClick={() => (begun.length === 0 ? end() : setEnding(true))}>End the run</Button>
      {isEnding && begun.length > 0 ? (
        <p role="alert" className="flex flex-wrap items-center gap-2 text-[16px]">
          {begun.map((p) => p.name).join(', ')}: passes are on, and no coat is on record.
          <Button onClick={() => begun.forEach(sprayer.enough)}>Log what is on</Button>
          <Button look="quiet" onClick={end}>
            Forget them
          </Button>
        </p>
      ) : null}
    </div>
  );
}
