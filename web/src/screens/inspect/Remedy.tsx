import {
  MEND_DONE_BY,
  remedyFor,
  type AnyFault,
  type FindingView,
  type InspectView,
  type MendStepNow,
  type RemedyId,
} from '@calvetta/core';
import { MEND_STEP_WORDS, REMEDY_CAUTION, REMEDY_WORDS } from '@calvetta/contract/words';
import { useDialogs } from '../../state/dialogs.ts';
import { useNowMs } from '../../state/clock.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Button } from '../../ui/Button.tsx';
import { duration, moment } from '../../ui/time.ts';
import { MendPreview } from './MendPreview.tsx';
import { useFinds } from './useFinding.ts';

interface Props {
  readonly view: InspectView;
  readonly finding: FindingView;
  readonly fault: AnyFault;
  /** Null: by the look alone. */
  readonly cause: string | null;
}

/** What mends it: as it would be, or as it stands with what is done of it. */
export function Remedy({ view, finding, fault, cause }: Props) {
  const { log, save } = useFinds(view);
  const set = finding.remedy;
  const remedy = set?.body.remedy ?? remedyFor(fault, cause, finding.coat?.packs ?? null);
  const caution = REMEDY_CAUTION[remedy];
  if (finding.closed) return null;
  return (
    <section aria-label="What mends it" className="flex flex-col gap-2 border-t border-line pt-3">
      <h3 className="text-[16px]">
        {set ? 'Under way: ' : 'What mends it: '}
        {REMEDY_WORDS[remedy]}
      </h3>
      {caution ? (
        <p className="border-l-4 border-mark bg-ground p-2 text-[14px]">
          {caution} Local rules and the maker’s sheet come first.
        </p>
      ) : null}
      {set ? (
        <Steps view={view} steps={finding.steps} />
      ) : (
        <Preview view={view} finding={finding} remedy={remedy} />
      )}
      <FormTrouble words={save.trouble} />
      {set ? null : (
        <Button
          look="main"
          className="self-start"
          disabled={save.isBusy}
          onClick={() =>
            log('remedy-set', finding.fact.face, {
              findingId: finding.findingId,
              remedy,
              ...(cause ? { causeId: `${fault}:${cause}` } : {}),
            })
          }
        >
          Mend it so
        </Button>
      )}
    </section>
  );
}

/** What it would come to, with what the route has after it on that face. */
function Preview({ view, finding, remedy }: Pick<Props, 'view' | 'finding'> & { readonly remedy: RemedyId }) {
  const plan = finding.plans[remedy];
  const nowMs = useNowMs();
  if (!plan) return null;
  const after = view.card.layers.flatMap((l) => (l.isPlanned ? [l.name] : []));
  return <MendPreview plan={plan} after={after} nowMs={nowMs} zone={view.zone} />;
}

/** The steps with what is done, and when the next may begin by the faulty coat's own clock. */
function Steps({ view, steps }: { readonly view: InspectView; readonly steps: readonly MendStepNow[] }) {
  const nowMs = useNowMs();
  const show = useDialogs((s) => s.show);
  const next = steps.findIndex((s) => !s.isDone);
  return (
    <ol className="text-[14px]">
      {steps.map((s, i) => {
        const fromMs = s.from?.worstMs ?? null;
        const mustWait = !s.isDone && fromMs !== null && fromMs > nowMs;
        const logs = MEND_DONE_BY[s.step];
        return (
          <li
            key={s.step}
            className={`flex min-h-9 flex-wrap items-center gap-2 border-t border-line/60 ${s.isDone ? 'text-quiet' : ''}`}
          >
            <span aria-hidden="true" className="figure w-5">
              {s.isDone ? '✓' : i + 1}
            </span>
            <span className="flex-1">
              {MEND_STEP_WORDS[s.step]}
              {s.isDone ? <span className="sr-only"> done</span> : null}
              {mustWait ? (
                <span className="text-wait">
                  {' '}
                  · wait until {moment(fromMs, nowMs, view.zone)}, {duration(fromMs - nowMs)}
                </span>
              ) : !s.isDone && s.waitsFor !== null && fromMs === null ? (
                <span className="text-quiet"> · when is not known: test it with the nail first</span>
              ) : null}
            </span>
            {logs && i === next ? (
              <Button onClick={() => show({ kind: 'log', partId: view.card.partId, factKind: logs })}>
                Log it
              </Button>
            ) : null}
          </li>
        );
      })}
    </ol>
  );
}
