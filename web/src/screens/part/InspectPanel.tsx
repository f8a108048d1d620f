import { useState } from 'react';
import {
  familiesOf,
  judgeRoute,
  mended,
  mendFor,
  RULES,
  SEEN_PAINT,
  SEEN_RUST,
  SEEN_WATER,
  type Reason,
  type RouteStep,
  type Seen,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { reasonWords, SEEN_WORDS, STEP_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { useSheets, useShop } from '../../api/queries.ts';
import { refusedWords } from '../../record/refusal.ts';
import { useRecord } from '../../record/useRecord.ts';
import { SeenSwatch } from '../../drawings/SeenSwatch.tsx';
import { usePrefs } from '../../state/prefs.ts';
import { useNotices } from '../../state/notices.ts';
import { OneOf } from '../../ui/Toggle.tsx';
import { Button } from '../../ui/Button.tsx';

/** The steps of the route that was set last, as they were set. */
function setSteps(part: PartDetail): readonly RouteStep[] | null {
  const set = part.facts.find((f) => f.factId === part.routeSet?.factId);
  return set?.kind === 'route-set' ? set.body.steps : null;
}

/** "What do you see now?" at the bare metal: eyes decide, and what is left of the route is judged by what they saw. */
export function InspectPanel({ part }: { readonly part: PartDetail }) {
  const steps = setSteps(part);
  const isBare = part.card.bare !== null;
  if (!isBare || part.survey === null || steps === null || !steps.some((s) => s.kind === 'inspect'))
    return null;
  return <Look key={JSON.stringify(part.seen)} part={part} steps={steps} />;
}

function Look({ part, steps }: { readonly part: PartDetail; readonly steps: readonly RouteStep[] }) {
  const [seen, setSeen] = useState<Partial<Seen>>(part.seen ?? {});
  const [isBusy, setBusy] = useState(false);
  const record = useRecord();
  const say = useNotices((s) => s.say);
  const whole = seen.rust && seen.paint && seen.water ? (seen as Seen) : null;
  const common = {
    partId: part.card.partId,
    partName: part.card.name,
    face: null,
    endedMs: null,
  };
  const store = (work: Promise<void>): void => {
    setBusy(true);
    void work
      .catch((e: unknown) =>
        say({ tone: 'trouble', text: refusedWords(e, 'It could not be stored; try again.') }),
      )
      .finally(() => setBusy(false));
  };
  const isStored = whole !== null && JSON.stringify(part.seen) === JSON.stringify(whole);
  return (
    <section aria-label="What do you see now?" className="border border-line bg-panel p-3">
      <h2 className="text-[16px]">What do you see now?</h2>
      <p className="text-[13px] text-quiet">
        Touch what the bare metal looks like. It takes the place of what the route expected, and the rest is
        judged by it.
      </p>
      <Row of="rust" options={SEEN_RUST} value={seen.rust} onPick={(rust) => setSeen({ ...seen, rust })} />
      <Row
        of="paint"
        options={SEEN_PAINT}
        value={seen.paint}
        onPick={(paint) => setSeen({ ...seen, paint })}
      />
      <Row
        of="water"
        options={SEEN_WATER}
        value={seen.water}
        onPick={(water) => setSeen({ ...seen, water })}
      />
      {whole ? (
        <Rest
          part={part}
          steps={steps}
          seen={whole}
          isBusy={isBusy}
          onSet={(next, reason) => {
            const now = Date.now();
            store(
              (async () => {
                if (!isStored)
                  await record({ ...common, kind: 'inspected', happenedMs: now, body: { seen: whole } });
                await record({
                  ...common,
                  kind: 'route-set',
                  happenedMs: now + 1,
                  body: { routeId: 'as-seen', origin: 'edited', steps: next },
                  evidence: { seen: whole, mends: reason.ruleId },
                });
              })(),
            );
          }}
        />
      ) : null}
      <Button
        look="main"
        className="mt-2"
        disabled={isBusy || whole === null || isStored}
        onClick={() => {
          if (whole)
            store(record({ ...common, kind: 'inspected', happenedMs: Date.now(), body: { seen: whole } }));
        }}
      >
        {isStored ? 'Recorded' : 'Record the look'}
      </Button>
    </section>
  );
}

interface RowProps<K extends keyof Seen> {
  readonly of: K;
  readonly options: readonly Seen[K][];
  readonly value: Seen[K] | undefined;
  readonly onPick: (v: Seen[K]) => void;
}

function Row<K extends keyof Seen>({ of, options, value, onPick }: RowProps<K>) {
  const words = SEEN_WORDS[of] as Readonly<Record<string, string>>;
  return (
    <OneOf<Seen[K]>
      label={of}
      size="picture"
      className="mt-2 flex flex-wrap gap-2"
      options={options.map((o) => ({
        value: o,
        text: (
          <>
            <SeenSwatch look={{ of, is: o } as never} />
            {words[o]}
          </>
        ),
      }))}
      value={value ?? null}
      onChange={onPick}
    />
  );
}

interface RestProps {
  readonly part: PartDetail;
  readonly steps: readonly RouteStep[];
  readonly seen: Seen;
  readonly isBusy: boolean;
  readonly onSet: (steps: readonly RouteStep[], reason: Reason) => void;
}

/** What is left of the route, judged by what was seen; each refusal with the one act that would mend it. */
function Rest({ part, steps, seen, isBusy, onSet }: RestProps) {
  const units = usePrefs((s) => s.units);
  const shop = useShop();
  const sheets = useSheets();
  if (!shop.data || !sheets.data || part.survey === null) return null;
  const input = {
    survey: part.survey,
    means: shop.data.means,
    steps,
    families: familiesOf(sheets.data.sheets),
    rules: RULES,
    seen,
  };
  const refusals = judgeRoute(input).refusals.filter((r) => r.ruleId.startsWith('surface.'));
  if (refusals.length === 0)
    return <p className="mt-2 text-[14px] text-good">The rest of the route holds.</p>;
  return (
    <ul className="mt-2 text-[14px]">
      {refusals.map((r) => {
        const m = mendFor(input, r);
        const what = m?.step.what ?? m?.step.kind ?? '';
        return (
          <li key={r.ruleId} className="border-t border-line/60 py-1">
            {reasonWords(r, units)}{' '}
            {m ? (
              <Button disabled={isBusy} onClick={() => onSet(mended(steps, m), r)}>
                Put in: {(WHAT_WORDS[what] ?? STEP_WORDS[what] ?? what).split(',')[0]}
              </Button>
            ) : null}
          </li>
        );
      })}
    </ul>
  );
}
