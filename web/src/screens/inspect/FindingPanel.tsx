import { SEEN_AFTER, type FindingView, type InspectView, type SeenAfter } from '@calvetta/core';
import {
  CLOSED_WORDS,
  findingName,
  HOLD_WORDS,
  REPAIR_WORDS,
  SEEN_AFTER_WORDS,
} from '@calvetta/contract/words';
import { FindingSwatch } from '../../drawings/FaultSwatch.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { moment } from '../../ui/time.ts';
import { CloseFinding } from './CloseFinding.tsx';
import { FaultFinder } from './FaultFinder.tsx';
import { Pictures } from './Pictures.tsx';
import { useFinds } from './useFinding.ts';

interface Props {
  readonly view: InspectView;
  readonly finding: FindingView;
  readonly number: number;
  readonly onClosed: () => void;
}

/** One finding: what it is, what it holds up, what caused it, what mends it, how it ended. */
export function FindingPanel({ view, finding, number, onClosed }: Props) {
  const { fact, closed, holds, coat } = finding;
  const { fault, seenAfter } = fact.body;
  const { log } = useFinds(view);
  const change = (patch: { readonly seenAfter: SeenAfter } | { readonly coatFactId: string }): void =>
    log(
      'found',
      fact.face,
      { ...fact.body, ...patch, findingId: finding.findingId },
      { supersedes: fact.factId, happenedMs: fact.happenedAtMs },
    );
  const coats = view.coats.filter((c) => fact.face === null || c.face === fact.face);
  return (
    <section aria-label={`Finding ${number}`} className="flex flex-col gap-3 border border-line bg-panel p-4">
      <Head view={view} finding={finding} number={number} />
      {holds ? <p className="border-l-4 border-bad bg-ground p-3 text-[15px]">{HOLD_WORDS[holds]}</p> : null}
      {closed ? (
        <p className="border-l-4 border-good bg-ground p-3 text-[15px]">
          Closed {moment(closed.happenedAtMs, view.nowMs, view.zone)}: {CLOSED_WORDS[closed.body.how]}
          {closed.body.by ? ` (${closed.body.by})` : ''}
          {closed.body.reason ? `. ${closed.body.reason}` : ''}
        </p>
      ) : null}
      {fault && !closed ? (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px]">
          <span className="flex items-center gap-1">
            First seen
            <OneOf<SeenAfter>
              label="First seen"
              size="small"
              value={seenAfter ?? null}
              onChange={(v) => change({ seenAfter: v })}
              options={SEEN_AFTER.map((s) => ({ value: s, text: SEEN_AFTER_WORDS[s] }))}
            />
          </span>
          {coats.length > 1 ? (
            <label className="flex items-center gap-1">
              on
              <select value={coat?.factId ?? ''} onChange={(e) => change({ coatFactId: e.target.value })}>
                {coats.map((c) => (
                  <option key={c.factId} value={c.factId}>
                    coat {c.coatNo}, {c.name}
                  </option>
                ))}
              </select>
            </label>
          ) : null}
        </div>
      ) : null}
      {finding.repair && !closed ? (
        <p className="text-[16px]">
          To be done: <strong>{REPAIR_WORDS[finding.repair.body.repair]}</strong>
          {finding.repair.body.reason ? `. ${finding.repair.body.reason}` : ''}
        </p>
      ) : null}
      {fault ? <FaultFinder view={view} finding={finding} /> : null}
      <Pictures view={view} findingId={finding.findingId} />
      {closed ? null : (
        <CloseFinding key={finding.findingId} view={view} finding={finding} onClosed={onClosed} />
      )}
    </section>
  );
}

function Head({ view, finding, number }: Omit<Props, 'onClosed'>) {
  const { fact, coat, closed } = finding;
  const { log, save } = useFinds(view);
  return (
    <header className="flex flex-wrap items-start gap-3">
      <FindingSwatch body={fact.body} />
      <div className="min-w-[180px] flex-1">
        <h2 className="text-[20px] leading-tight">
          {number}. {findingName(finding)}
        </h2>
        <p className="text-[14px] text-quiet">
          {finding.personName ?? 'someone'}, {moment(fact.happenedAtMs, view.nowMs, view.zone)}
          {coat ? ` · on ${coat.name}, coat ${coat.coatNo}` : ''}
          {fact.body.note ? ` · ${fact.body.note}` : ''}
        </p>
        <FormTrouble words={save.trouble} />
      </div>
      {closed ? null : (
        <Button
          look="quiet"
          disabled={save.isBusy}
          onClick={() => log('voided', fact.face, {}, { supersedes: fact.factId })}
        >
          Entered by mistake
        </Button>
      )}
    </header>
  );
}
