import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  type Content,
  type ProductSheet,
  jobGroups,
  MARGIN_PCT,
  needOf,
  newestSheet,
  totalOf,
  roundedUp,
  tinFor,
  workOut,
  type JobGroup,
} from '@calvetta/core';
import type { BenchResponse, ShelfResponse, TinView } from '@calvetta/contract';
import { useBench, useSheets, useShelf, useShop } from '../../api/queries.ts';
import { failureWords } from '../../forms/failureWords.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { BatchHead, SmallBatch } from './BatchHead.tsx';
import { BatchPanel, smallestThatHolds } from './BatchPanel.tsx';
import { FlowCupPanel } from './FlowCupPanel.tsx';
import { JobPanel, type ProductOption } from './JobPanel.tsx';
import { LiveMixes } from './LiveMixes.tsx';
import { FIRST_JOB, type MixJob } from './mixJob.ts';
import { OverPour } from './OverPour.tsx';
import { Pouring } from './Pouring.tsx';
import { thinOf } from './thin.ts';
import { readMl } from '../../forms/readMl.ts';

/** How much to mix, to which mark on this cup, and what else it can paint. */
export default function MixScreen() {
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
    const newest = newestSheet(sheets, t.productId);
    if (!newest) continue;
    const key = `${newest.sheetId} ${t.colour ?? ''}`.trim();
    if (!groups.some((g) => g.key === key))
      others.set(key, { key, text: `${newest.name}${t.colour === null ? '' : `, ${t.colour}`}` });
  }
  return [...first, ...others.values()];
}

function Mixer({ bench, shelf, sheets, volumeSystem }: MixerProps) {
  const [params] = useSearchParams();
  const groups = useMemo(() => jobGroups(bench.rows, sheets), [bench.rows, sheets]);
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
            <BatchHead
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
