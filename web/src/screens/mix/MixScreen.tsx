import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { ProductSheet } from '@calvetta/core';
import type { BenchResponse, CupView, ShelfResponse } from '@calvetta/contract';
import { useBench, useSheets, useShelf, useShop } from '../../api/queries.ts';
import { failureWords } from '../../forms/failureWords.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { BatchHead, SmallBatch } from './BatchHead.tsx';
import { BatchPanel } from './BatchPanel.tsx';
import { FlowCupPanel } from './FlowCupPanel.tsx';
import { JobPanel } from './JobPanel.tsx';
import { LiveMixes } from './LiveMixes.tsx';
import type { MixJob } from './mixJob.ts';
import { firstJob, groupsOf, mixingOf, optionsOf, type Known, type Mixing } from './mixing.ts';
import { OverPour } from './OverPour.tsx';
import { Pouring } from './Pouring.tsx';
import { Heading } from '../../ui/Heading.tsx';

/** How much to mix, to which mark on this cup, and what else it can paint. */
export default function MixScreen() {
  const bench = useBench();
  const shelf = useShelf();
  const sheets = useSheets();
  const shop = useShop();
  if (!bench.data || !shelf.data || !sheets.data || !shop.data)
    return (
      <Waiting isPage error={bench.error ?? shelf.error ?? sheets.error ?? shop.error} what="mixing bench" />
    );
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

function Mixer({ bench, shelf, sheets, volumeSystem }: MixerProps) {
  const [params] = useSearchParams();
  const groups = useMemo(() => groupsOf(bench, sheets), [bench, sheets]);
  const options = optionsOf(groups, shelf, sheets);
  const [job, setJob] = useState<MixJob>(() => firstJob(params.get('part'), groups, options));
  // What was poured belongs to what was planned: another plan begins with an empty cup.
  const change = (patch: Partial<MixJob>): void => setJob((old) => ({ ...old, poured: null, ...patch }));
  const keep = (patch: Partial<MixJob>): void => setJob((old) => ({ ...old, ...patch }));
  const known: Known = { bench, shelf, sheets, volumeSystem, groups };
  const mixing = mixingOf(job, known);
  if (!mixing)
    return (
      <div className="p-4">
        <Heading title={['Mix']}>Mix</Heading>
        <p className="mt-2 max-w-prose text-quiet">
          Nothing on the shelf and nothing that waits: receive a tin under Shelf, or bring a part to a coat.
        </p>
      </div>
    );
  const { group, needs, total, typed, sheet, colour, tins, batch, place } = mixing;
  return (
    <div className="flex flex-col gap-4 p-4 max-md:p-2">
      <div className="flex flex-wrap items-baseline gap-3">
        <Heading title={['Mix']}>Mix</Heading>
        <p className="text-quiet">how much, to which mark, and what else it can paint</p>
      </div>
      <LiveMixes mixes={shelf.mixes} zone={bench.zone} />
      <div className="grid items-start gap-4 lg:grid-cols-[360px_minmax(0,1fr)]">
        <JobPanel
          {...{ job, options, group, needs, total }}
          volumeProblem={typed.problem}
          onChange={change}
        />
        <div className="flex min-w-0 flex-col gap-4">
          <TheBatch {...{ mixing, job, change, keep }} places={bench.places} cups={shelf.cups} />
          <Pouring
            {...{ sheet, colour, tins, batch }}
            all={shelf.tins}
            placeId={place?.placeId ?? null}
            onTin={(content, tinId) => keep({ tins: { ...job.tins, [content]: tinId } })}
            onMixed={() => keep({ poured: null })}
          />
          <FlowCupPanel />
        </div>
      </div>
    </div>
  );
}

interface BatchProps {
  readonly mixing: Mixing;
  readonly job: MixJob;
  readonly places: BenchResponse['places'];
  readonly cups: readonly CupView[];
  /** Another plan. */
  readonly change: (patch: Partial<MixJob>) => void;
  /** The same plan, otherwise carried out. */
  readonly keep: (patch: Partial<MixJob>) => void;
}

/** The amounts, on the cup and on the scale; what will not do, and what to add when a pour went over. */
function TheBatch({ mixing, job, places, cups, change, keep }: BatchProps) {
  const { sheet, colour, thin, worked, planned, poured, batch, cup } = mixing;
  const failures = [worked.recipe, ...(worked.batch ? [worked.batch] : [])].flatMap((r) =>
    r.ok ? [] : [failureWords(r.error)],
  );
  return (
    <section aria-label="The batch" className="flex flex-col gap-3 border border-line bg-panel p-3">
      <BatchHead {...{ sheet, colour, thin, job, places }} onChange={change} />
      {failures.map((words) => (
        <p key={words} role="alert" className="text-bad">
          {words}
        </p>
      ))}
      {batch ? (
        <>
          <BatchPanel
            {...{ sheet, batch, cups }}
            thinPct={thin.pct}
            cupId={job.cupId}
            onCup={(cupId) => keep({ cupId })}
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
        onChange={(p) => keep({ poured: p })}
      />
    </section>
  );
}
