import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { thinnerGrade, thinnerStartPct, traitsOf, type Content, type ProductSheet } from '@calvetta/core';
import type { BenchResponse, ShelfResponse, TinView } from '@calvetta/contract';
import { CAUTION_WORDS, CONTENT_WORDS, THINNER_WORDS } from '@calvetta/contract/words';
import { useBench, useSheets, useShelf, useShop } from '../../api/queries.ts';
import { failureWords } from '../../dialogs/failureWords.ts';
import { isRefusal, problemAt } from '../../dialogs/refusal.ts';
import { useStock } from '../../dialogs/useStock.ts';
import type { ApiError } from '../../api/client.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { newId } from '../../ui/newId.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { BatchPanel, smallestThatHolds } from './BatchPanel.tsx';
import { FlowCupPanel } from './FlowCupPanel.tsx';
import { groupsOf, MARGIN_PCT, needOf, totalOf, type JobGroup } from './job.ts';
import { JobPanel, type ProductOption } from './JobPanel.tsx';
import { LiveMixes } from './LiveMixes.tsx';
import { FIRST_JOB, roundedUp, tinFor, tinsFor, workOut, type MixJob } from './mixJob.ts';
import { OverPour } from './OverPour.tsx';
import { readMl } from './useMl.ts';

/** How much to mix, to which mark on this cup, and what else it can paint. */
export default function MixPlace() {
  const bench = useBench();
  const shelf = useShelf();
  const sheets = useSheets();
  const shop = useShop();
  if (!bench.data || !shelf.data || !sheets.data || !shop.data)
    return <Waiting error={bench.error ?? shelf.error ?? sheets.error ?? shop.error} what="mixing bench" />;
  return (
    <Mixer
      bench={bench.data}
      shelf={shelf.data}
      sheets={sheets.data.sheets}
      volumeSystem={shop.data.volumeSystem}
    />
  );
}

interface MixerProps {
  readonly bench: BenchResponse;
  readonly shelf: ShelfResponse;
  readonly sheets: readonly ProductSheet[];
  readonly volumeSystem: 'us' | 'imperial';
}

/** Products to choose from: what parts take next, then what else stands on the shelf. */
function optionsOf(
  groups: readonly JobGroup[],
  shelf: ShelfResponse,
  sheets: readonly ProductSheet[],
): ProductOption[] {
  const first = groups.map((g) => ({
    key: g.key,
    text: `${g.sheet.name}${g.colour === null ? '' : `, ${g.colour}`} — ${g.parts.length} wait, ${g.nowCount} now`,
  }));
  const others = new Map<string, ProductOption>();
  for (const t of shelf.tins.filter((x) => x.content === 'paint' && !x.isBinned)) {
    const newest = sheets
      .filter((s) => s.productId === t.productId)
      .sort((a, b) => b.revision - a.revision)[0];
    if (!newest) continue;
    const key = `${newest.sheetId} ${t.colour ?? ''}`.trim();
    if (!groups.some((g) => g.key === key))
      others.set(key, { key, text: `${newest.name}${t.colour === null ? '' : `, ${t.colour}`}` });
  }
  return [...first, ...others.values()];
}

function Mixer({ bench, shelf, sheets, volumeSystem }: MixerProps) {
  const [params] = useSearchParams();
  const groups = useMemo(() => groupsOf(bench.rows, sheets), [bench.rows, sheets]);
  const options = optionsOf(groups, shelf, sheets);
  const [job, setJob] = useState<MixJob>(() => firstJob(params.get('part'), groups, options));
  const change = (patch: Partial<MixJob>): void => setJob((old) => ({ ...old, poured: null, ...patch }));
  const group = groups.find((g) => g.key === job.key) ?? null;
  const [sheetId = '', ...colourWords] = job.key.split(' ');
  const sheet = group?.sheet ?? sheets.find((s) => s.sheetId === sheetId);
  const colour = group ? group.colour : colourWords.join(' ') || null;
  const place = bench.places.find((p) => p.placeId === job.placeId) ?? bench.places[0];
  const thin = thinOf(job, sheet, place?.airC ?? null);
  const typed = readMl(job.volume, 'Mixed paint', volumeSystem);
  if (!sheet)
    return (
      <div className="p-4">
        <h1 className="text-[24px]">Mix</h1>
        <p className="mt-2 max-w-prose text-quiet">
          Nothing on the shelf and nothing that waits: receive a tin under Shelf, or bring a part to a coat.
        </p>
      </div>
    );
  const way = { by: job.by, shape: job.shape, thinPct: thin.pct };
  const needs = (group?.parts ?? []).map((c) => needOf(c, sheet, way));
  const total = totalOf(
    needs.filter((n) => job.partIds.includes(n.card.partId)),
    MARGIN_PCT,
  );
  const tins: Readonly<Record<Content, TinView | null>> = {
    paint: tinFor(shelf.tins, sheet.productId, 'paint', colour, job.tins.paint),
    hardener: tinFor(shelf.tins, sheet.productId, 'hardener', null, job.tins.hardener),
    thinner: tinFor(shelf.tins, sheet.productId, 'thinner', null, job.tins.thinner),
  };
  const wantMl = job.mode === 'parts' ? (total.mixedMl > 0 ? roundedUp(total.mixedMl) : null) : typed.ml;
  const poured = pouredOf(job, volumeSystem);
  const worked = workOut({
    sheet,
    mode: job.mode,
    wantMl,
    thinPct: thin.pct,
    paintMl: tins.paint?.levelMl ?? 0,
    hardenerMl: tins.hardener?.levelMl ?? 0,
    poured: poured.ml,
  });
  const planned = workOut({ ...plannedInput(sheet, job, wantMl, thin.pct, tins), poured: null }).batch;
  const batch = worked.batch?.ok ? worked.batch.value : null;
  const cup =
    shelf.cups.find((c) => c.cupId === job.cupId) ?? smallestThatHolds(shelf.cups, batch?.totalMl ?? 0);
  return (
    <div className="flex flex-col gap-4 p-4 max-md:p-2">
      <div className="flex flex-wrap items-baseline gap-3">
        <h1 className="text-[24px]">Mix</h1>
        <p className="text-quiet">how much, to which mark, and what else it can paint</p>
      </div>
      <LiveMixes mixes={shelf.mixes} zone={bench.zone} />
      <div className="grid items-start gap-4 lg:grid-cols-[360px_minmax(0,1fr)]">
        <JobPanel
          job={job}
          options={options}
          group={group}
          needs={needs}
          total={total}
          volumeProblem={typed.problem}
          onChange={change}
        />
        <div className="flex min-w-0 flex-col gap-4">
          <section aria-label="The batch" className="flex flex-col gap-3 border border-line bg-panel p-3">
            <Heading
              sheet={sheet}
              colour={colour}
              thin={thin}
              job={job}
              places={bench.places}
              onChange={change}
            />
            {worked.recipe.ok ? null : (
              <p role="alert" className="text-bad">
                {failureWords(worked.recipe.error)}
              </p>
            )}
            {worked.batch && !worked.batch.ok ? (
              <p role="alert" className="text-bad">
                {failureWords(worked.batch.error)}
              </p>
            ) : null}
            {batch ? (
              <>
                <BatchPanel
                  sheet={sheet}
                  batch={batch}
                  thinPct={thin.pct}
                  cups={shelf.cups}
                  cupId={job.cupId}
                  onCup={(cupId) => setJob((old) => ({ ...old, cupId }))}
                />
                <SmallBatch
                  mixedMl={batch.mixedMl}
                  smallestMl={worked.smallestMl}
                  onUse={() => change({ mode: 'volume', volume: String(Math.ceil(worked.smallestMl)) })}
                />
                {worked.fromTins?.endsFirst ? (
                  <p className="text-quiet">
                    {worked.fromTins.endsFirst === 'a' ? 'The paint' : 'The hardener'} runs out first.
                  </p>
                ) : null}
              </>
            ) : worked.batch === null ? (
              <p className="py-6 text-center text-[17px] text-quiet">
                {job.mode === 'parts'
                  ? 'Choose the parts, and the amounts stand here.'
                  : 'Say how much, and the amounts stand here.'}
              </p>
            ) : null}
            <OverPour
              planned={planned?.ok ? planned.value : null}
              poured={job.poured}
              problems={poured.problems}
              pouredMl={poured.ml}
              repair={worked.repair}
              cup={cup}
              onChange={(p) => setJob((old) => ({ ...old, poured: p }))}
            />
          </section>
          <Pouring
            sheet={sheet}
            colour={colour}
            tins={tins}
            all={shelf.tins}
            batch={batch}
            placeId={place?.placeId ?? null}
            onTin={(content, tinId) => setJob((old) => ({ ...old, tins: { ...old.tins, [content]: tinId } }))}
            onMixed={() => setJob((old) => ({ ...old, poured: null }))}
          />
          <FlowCupPanel />
        </div>
      </div>
    </div>
  );
}

function firstJob(
  partId: string | null,
  groups: readonly JobGroup[],
  options: readonly ProductOption[],
): MixJob {
  const asked = groups.find((g) => g.parts.some((p) => p.partId === partId));
  return {
    ...FIRST_JOB,
    key: asked?.key ?? options[0]?.key ?? '',
    mode: groups.length > 0 ? 'parts' : 'volume',
    partIds: asked && partId !== null ? [partId] : [],
  };
}

interface Thin {
  readonly pct: number;
  readonly mostPct: number;
  readonly suggestedPct: number;
  readonly problem: string | null;
  readonly airC: number | null;
}

/** Thinner as typed, else as suggested for the air; more than the sheet allows is said, not swallowed. */
function thinOf(job: MixJob, sheet: ProductSheet | undefined, airC: number | null): Thin {
  if (!sheet) return { pct: 0, mostPct: 0, suggestedPct: 0, problem: null, airC };
  const { thinMaxPct } = traitsOf(sheet);
  const mostPct = job.by === 'brush' || job.by === 'roller' ? thinMaxPct.brush : thinMaxPct.gun;
  const start = thinnerStartPct(mostPct, airC ?? 18);
  const suggestedPct = start.ok ? Math.round(start.value) : 0;
  if (job.thin === null) return { pct: suggestedPct, mostPct, suggestedPct, problem: null, airC };
  const typed = Number(job.thin.replace(',', '.'));
  if (job.thin.trim() === '' || !Number.isFinite(typed) || typed < 0 || typed > 100)
    return { pct: suggestedPct, mostPct, suggestedPct, problem: 'a number from 0 to 100', airC };
  return {
    pct: typed,
    mostPct,
    suggestedPct,
    problem: typed > mostPct ? `the sheet allows ${mostPct} % laid on so` : null,
    airC,
  };
}

function plannedInput(
  sheet: ProductSheet,
  job: MixJob,
  wantMl: number | null,
  thinPct: number,
  tins: Readonly<Record<Content, TinView | null>>,
) {
  return {
    sheet,
    mode: job.mode,
    wantMl,
    thinPct,
    paintMl: tins.paint?.levelMl ?? 0,
    hardenerMl: tins.hardener?.levelMl ?? 0,
  };
}

function pouredOf(job: MixJob, volumeSystem: 'us' | 'imperial') {
  const read = (text: string | undefined, field: string) => readMl(text ?? '', field, volumeSystem, 0);
  const a = read(job.poured?.a, 'A');
  const b = read(job.poured?.b, 'B');
  const thinner = read(job.poured?.thinner, 'Thinner');
  const isGiven = job.poured !== null && [a, b, thinner].some((x) => x.ml !== null);
  const isBad = [a, b, thinner].some((x) => x.problem !== null);
  return {
    ml: isGiven && !isBad ? { aMl: a.ml ?? 0, bMl: b.ml ?? 0, thinnerMl: thinner.ml ?? 0 } : null,
    problems: { a: a.problem, b: b.problem, thinner: thinner.problem },
  };
}

interface HeadingProps {
  readonly sheet: ProductSheet;
  readonly colour: string | null;
  readonly thin: Thin;
  readonly job: MixJob;
  readonly places: BenchResponse['places'];
  readonly onChange: (patch: Partial<MixJob>) => void;
}

function Heading({ sheet, colour, thin, job, places, onChange }: HeadingProps) {
  const units = useUnits();
  const { mix } = traitsOf(sheet);
  const ratio = mix === null ? 'one-pack' : `${mix.a}:${mix.b} by ${mix.by}`;
  return (
    <div className="flex flex-wrap items-start justify-between gap-3">
      <div>
        <h2 className="text-[20px] leading-tight">
          {sheet.name}
          {colour === null ? '' : `, ${colour}`}
        </h2>
        <p className="text-[14px] text-quiet">
          {ratio} · {sheet.vsPct} % solids by volume · {sheet.source}
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <Field label="Mixed in">
          <select
            aria-label="Mixed in"
            value={job.placeId ?? places[0]?.placeId ?? ''}
            onChange={(e) => onChange({ placeId: e.target.value })}
          >
            {places.map((p) => (
              <option key={p.placeId} value={p.placeId}>
                {p.name} {units.temp(p.airC)}
              </option>
            ))}
          </select>
        </Field>
        <Field
          label={`Thinner, % · ${THINNER_WORDS[thinnerGrade(thin.airC ?? 18)]} grade`}
          problem={thin.problem}
          hint={`start with ${thin.suggestedPct}, at most ${thin.mostPct}; the flow cup decides`}
        >
          <input
            className="w-24"
            aria-label="Thinner, %"
            inputMode="decimal"
            value={job.thin ?? String(thin.suggestedPct)}
            onChange={(e) => onChange({ thin: e.target.value })}
          />
        </Field>
      </div>
    </div>
  );
}

interface SmallProps {
  readonly mixedMl: number;
  readonly smallestMl: number;
  readonly onUse: () => void;
}

/** Too little to measure the ratio by: says how much is enough, and offers it. */
function SmallBatch({ mixedMl, smallestMl, onUse }: SmallProps) {
  const units = useUnits();
  if (mixedMl >= smallestMl - 1e-9) return null;
  return (
    <p role="alert" className="flex flex-wrap items-center gap-3 border-l-4 border-mark bg-ground px-3 py-1">
      <span>
        Less than {units.volume(smallestMl)} cannot be measured to 5 % on a cup read to 1 mL: weigh it, or mix
        more.
      </span>
      <Button onClick={onUse}>Mix {units.volume(smallestMl)}</Button>
    </p>
  );
}

interface PouringProps {
  readonly sheet: ProductSheet;
  readonly colour: string | null;
  readonly tins: Readonly<Record<Content, TinView | null>>;
  readonly all: readonly TinView[];
  readonly batch: { readonly aMl: number; readonly bMl: number; readonly thinnerMl: number } | null;
  readonly placeId: string | null;
  readonly onTin: (content: Content, tinId: string) => void;
  readonly onMixed: () => void;
}

const NEED = { paint: 'aMl', hardener: 'bMl', thinner: 'thinnerMl' } as const;

/** Which tins it comes from, what to mind, and the touch that starts its clock. */
function Pouring({ sheet, colour, tins, all, batch, placeId, onTin, onMixed }: PouringProps) {
  const units = useUnits();
  const stock = useStock();
  const [error, setError] = useState<ApiError | null>(null);
  const [isBusy, setBusy] = useState(false);
  const contents = (['paint', 'hardener', 'thinner'] as const).filter(
    (c) => c === 'paint' || (batch?.[NEED[c]] ?? 0) > 0,
  );
  const round = (ml: number): number => Number(ml.toFixed(1));
  const mix = (): void => {
    if (!batch || !tins.paint) return;
    setBusy(true);
    setError(null);
    stock({
      kind: 'mixed',
      about: `${sheet.name}${colour === null ? '' : `, ${colour}`}`,
      body: {
        mixId: newId(),
        sheetId: sheet.sheetId,
        colour,
        aTinId: tins.paint.tinId,
        bTinId: batch.bMl > 0 ? (tins.hardener?.tinId ?? null) : null,
        thinnerTinId: batch.thinnerMl > 0 ? (tins.thinner?.tinId ?? null) : null,
        aMl: round(batch.aMl),
        bMl: round(batch.bMl),
        thinnerMl: round(batch.thinnerMl),
        placeId,
      },
    })
      .then(onMixed)
      .catch((e: unknown) => {
        if (!isRefusal(e)) throw e;
        setError(e);
      })
      .finally(() => setBusy(false));
  };
  const isReady = batch !== null && tins.paint !== null && (batch.bMl === 0 || tins.hardener !== null);
  return (
    <section aria-label="Pouring" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[18px]">From these tins</h2>
      <div className="grid gap-2 md:grid-cols-3">
        {contents.map((c) => {
          const list = tinsFor(all, sheet.productId, c, c === 'paint' ? colour : null);
          const tin = tins[c];
          const short = batch && tin ? batch[NEED[c]] - tin.levelMl : 0;
          return (
            <Field
              key={c}
              label={CONTENT_WORDS[c]}
              problem={
                tin === null
                  ? `no tin of ${CONTENT_WORDS[c]} on the shelf: receive one first`
                  : tin.isExpired
                    ? 'past its date: test it on scrap, or take a fresh one'
                    : short > 0.5
                      ? `${units.volume(short)} less in it than this takes`
                      : problemAt(error, c === 'paint' ? 'body.aTinId' : 'body.bTinId')
              }
              hint={tin?.turn === 0 ? 'its turn: first in, first out' : undefined}
            >
              <select
                aria-label={`Tin of ${CONTENT_WORDS[c]}`}
                value={tin?.tinId ?? ''}
                onChange={(e) => onTin(c, e.target.value)}
              >
                {list.length === 0 ? <option value="">none</option> : null}
                {list.map((t) => (
                  <option key={t.tinId} value={t.tinId}>
                    {t.batch ?? 'no batch'} · {units.volume(t.levelMl)}
                    {t.isExpired ? ' · past its date' : ''}
                  </option>
                ))}
              </select>
            </Field>
          );
        })}
      </div>
      <ul className="list-[square] pl-5 text-[14px]">
        <li>Strain it into the gun; drain the moisture trap before you spray.</li>
        {sheet.stages.induction ? <li>Let it stand its induction time before it is used.</li> : null}
        {sheet.cautions.map((c) => (
          <li key={c}>{CAUTION_WORDS[c] ?? c}</li>
        ))}
      </ul>
      {error ? (
        <p role="alert" className="text-bad">
          {error.body.remedy}
        </p>
      ) : null}
      <Button look="main" className="self-start" disabled={!isReady || isBusy} onClick={mix}>
        Mixed now: start its clock
      </Button>
    </section>
  );
}
