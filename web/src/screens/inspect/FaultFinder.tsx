import { useState } from 'react';
import {
  asksFor,
  candidatesOf,
  evidenceWith,
  LOOK_ALIKES,
  weigh,
  weighable,
  FAULTS,
  type Answered,
  type AnyFault,
  type EvidenceCode,
  type FaultId,
  type FindingView,
  type InspectView,
  type NextAsk,
  type Weighing,
} from '@calvetta/core';
import { EVIDENCE_WORDS, FAULT_WORDS } from '@calvetta/contract/words';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { Button } from '../../ui/Button.tsx';
import { causeWords } from '../../words/causeWords.ts';
import { Causes } from './Causes.tsx';
import { EvidenceList } from './EvidenceList.tsx';
import { Remedy } from './Remedy.tsx';
import { useFinds } from './useFinding.ts';

interface Props {
  readonly view: InspectView;
  readonly finding: FindingView;
}
const isWeighed = (fault: AnyFault | undefined): fault is FaultId =>
  fault !== undefined && (FAULTS as readonly string[]).includes(fault);

/** The causes of a fault, weighed from the record; what to ask next; what mends it. An answer moves the bars at once. */
export function FaultFinder({ view, finding }: Props) {
  const { fault, alsoFault, seenAfter } = finding.fact.body;
  const [draft, setDraft] = useState<readonly Answered[]>([]);
  const [skipped, setSkipped] = useState<ReadonlySet<EvidenceCode>>(new Set());
  const { log, save } = useFinds(view);
  if (!isWeighed(fault))
    return fault ? <Remedy view={view} finding={finding} fault={fault} cause={null} /> : null;
  const evidence = evidenceWith(
    finding.evidence.filter((e) => e.from === 'record').map((e) => ({ ...e, isContradicted: false })),
    [...finding.answers, ...draft],
  );
  const faults = alsoFault ? [fault, alsoFault] : [fault];
  const input = { faults, cannotBe: new Set(finding.cannotBe), seenAfter: seenAfter ?? null };
  const known = weighable(evidence);
  const weighing = weigh({ ...input, evidence: known });
  const asks = asksFor(candidatesOf(input), known).filter((a) => !skipped.has(a.code));
  const answer = (code: EvidenceCode, says: Answered['says']): void => {
    setDraft((d) => [...d, { code, says }]);
    log('finding-answered', finding.fact.face, { findingId: finding.findingId, code, says });
  };
  const first = weighing.causes[0]!;
  return (
    <div className="flex flex-col gap-3">
      <Verdict weighing={weighing} />
      <Causes weighing={weighing} evidence={evidence} isTwo={faults.length > 1} />
      <p className="text-[13px] text-quiet">
        The shares put causes in order by the custom of the trade; they are no measured odds. You decide.
      </p>
      <FormTrouble words={save.trouble} />
      {finding.closed ? null : (
        <Ask
          asks={asks}
          isBusy={save.isBusy}
          onAnswer={answer}
          onSkip={(code) => setSkipped(new Set([...skipped, code]))}
        />
      )}
      <Alike fault={fault} finding={finding} view={view} />
      <EvidenceList
        evidence={evidence}
        onTakeBack={(code) => {
          setDraft((d) => d.filter((a) => a.code !== code));
          log('finding-answered', finding.fact.face, { findingId: finding.findingId, code, says: 'unknown' });
        }}
      />
      <Remedy
        view={view}
        finding={finding}
        fault={first.fault}
        cause={weighing.verdict === 'decided' ? first.causeId : null}
      />
    </div>
  );
}

/** What it comes to, in a sentence; no cause is named where none is decided. */
function Verdict({ weighing }: { readonly weighing: Weighing }) {
  const first = weighing.causes[0]!;
  const strong = weighing.causes.filter((c) => c.strong.length > 0 && c !== first && c.share > 0.02);
  const words = causeWords(first.fault, first.causeId);
  if (weighing.verdict === 'decided')
    return (
      <div>
        <p className="text-[18px]">
          Most likely: <strong>{words.is}</strong>
        </p>
        {strong.length > 0 ? (
          <p className="text-[14px]">
            Playing a part too: {strong.map((c) => causeWords(c.fault, c.causeId).is).join(', ')}.
          </p>
        ) : null}
        <p className="text-[14px]">Next time: {words.next}</p>
      </div>
    );
  return (
    <p className="text-[18px]">
      {weighing.verdict === 'something-else' ? (
        <>
          Nothing on record explains it: <strong>something else</strong>. Test before you mend.
        </>
      ) : (
        <>
          Not decided: <strong>look or test</strong> first. The question below settles most.
        </>
      )}
    </p>
  );
}

const more = (n: number): string => `${n} more ${n === 1 ? 'question' : 'questions'}`;

interface AskProps {
  readonly asks: readonly NextAsk[];
  readonly isBusy: boolean;
  readonly onAnswer: (code: EvidenceCode, says: Answered['says']) => void;
  readonly onSkip: (code: EvidenceCode) => void;
}

/** The one question that settles most, and the others behind it. */
function Ask({ asks, isBusy, onAnswer, onSkip }: AskProps) {
  const [isAll, setAll] = useState(false);
  if (asks.length === 0) return null;
  return (
    <section aria-label="Ask next" className="flex flex-col gap-2 border-l-4 border-wait bg-ground p-3">
      {asks.slice(0, isAll ? 8 : 1).map((a) => (
        <div key={a.code} className="flex flex-wrap items-center gap-2">
          <p className="min-w-[220px] flex-1 text-[16px]">
            {EVIDENCE_WORDS[a.code].ask}{' '}
            <span className="text-[13px] text-quiet">
              about {a.minutes < 1 ? 'half a minute' : `${a.minutes} min`}
            </span>
          </p>
          <Button disabled={isBusy} onClick={() => onAnswer(a.code, 'yes')}>
            Yes
          </Button>
          <Button disabled={isBusy} onClick={() => onAnswer(a.code, 'no')}>
            No
          </Button>
          <Button look="quiet" disabled={isBusy} onClick={() => onSkip(a.code)}>
            Not known
          </Button>
        </div>
      ))}
      {asks.length > 1 ? (
        <Button look="quiet" className="self-start" onClick={() => setAll(!isAll)}>
          {isAll ? 'Only the best question' : more(Math.min(8, asks.length) - 1)}
        </Button>
      ) : null}
    </section>
  );
}

/** Faults that are taken for this one: seen too, or the one in truth. */
function Alike({ fault, finding, view }: Props & { readonly fault: FaultId }) {
  const { log, save } = useFinds(view);
  const others = LOOK_ALIKES.filter((g) => g.includes(fault)).flatMap((g) => g.filter((f) => f !== fault));
  if (others.length === 0 || finding.closed) return null;
  const { alsoFault: also, ...body } = finding.fact.body;
  return (
    <p className="flex flex-wrap items-center gap-1 text-[14px]">
      Or do you see as well:
      {others.map((o) => (
        <button
          key={o}
          type="button"
          disabled={save.isBusy}
          aria-pressed={also === o}
          className={`min-h-8 border px-2 text-[13px] ${also === o ? 'border-chosen bg-chosen text-chosen-ink' : 'border-line'}`}
          onClick={() => {
            const { findingId } = finding;
            log(
              'found',
              finding.fact.face,
              { ...body, findingId, ...(also === o ? {} : { alsoFault: o }) },
              {
                supersedes: finding.fact.factId,
                happenedMs: finding.fact.happenedAtMs,
              },
            );
          }}
        >
          {FAULT_WORDS[o].name}
        </button>
      ))}
    </p>
  );
}
