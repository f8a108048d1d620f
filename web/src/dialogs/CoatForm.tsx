import { useState, type ReactNode } from 'react';
import {
  applicatorOf,
  coatVerdict,
  judgeGates,
  limitsOf,
  parseQuantity,
  UM_PER_MIL,
  type Face,
  type GateVerdict,
  type ProductSheet,
  type Tool,
  needOf,
} from '@calvetta/core';
import type { FactView, FaceView, MixView, PartCard, PartDetail } from '@calvetta/contract';
import { CAUTION_WORDS, coatRefusalWords, FACT_WORDS } from '@calvetta/contract/words';
import type { Refused } from '../api/client.ts';
import { useSheets, useShelf } from '../api/queries.ts';
import { isMixGone } from '../places/mixWords.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { Foot } from '../ui/Foot.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { failureWords } from './failureWords.ts';
import { GateLine } from './GateLine.tsx';
import type { SubmitBody } from './submit.ts';
import { problemAt } from './refusal.ts';

interface Props {
  readonly part: PartDetail;
  readonly face: Face | null;
  /** Logged as done at this moment. */
  readonly isNow: boolean;
  readonly correct?: FactView;
  readonly error: Refused | null;
  readonly isBusy: boolean;
  readonly submit: SubmitBody;
  /** Who and when: asked by every form, above its buttons. */
  readonly children: ReactNode;
}

/** Reasons a person may accept a marginal or unknown gate with: one chip is the second touch. */
const GATE_REASONS = [
  'metal felt and measured dry',
  'heat is on and rising',
  'checked with a second instrument',
  'accepted: small, indoors, working finish',
];
const TOOLS = ['gun', 'brush', 'roller', 'aerosol'] as const;

/** Filled in from the route, the last coat and the air: product, film, tool, batch. */
export function CoatForm({ part, face, isNow, correct, error, isBusy, submit, children }: Props) {
  const sheets = useSheets();
  const units = useUnits();
  const filmUnit = usePrefs((s) => s.units.film);
  const known = correct?.kind === 'coated' ? correct.body : null;
  const [sheetId, setSheetId] = useState(known?.sheetId ?? part.card.next?.sheetId ?? '');
  const sheet = sheets.data?.sheets.find((s) => s.sheetId === sheetId);
  const last = lastCoatOf(part, sheetId);
  const [film, setFilm] = useState(() => shownFilm(known?.dftUm ?? part.card.next?.dftUm ?? null, filmUnit));
  const [batch, setBatch] = useState(known?.batch ?? last?.batch ?? '');
  const [tool, setTool] = useState<(typeof TOOLS)[number]>(known?.tool ?? last?.tool ?? 'gun');
  const [thinner, setThinner] = useState(known?.thinnerPct?.toString() ?? '');
  const [reason, setReason] = useState(known?.reason ?? '');
  const shelf = useShelf();
  const [mixId, setMixId] = useState<string | null>(
    // A correction keeps the cup it was logged with, or none: the one that stands there now is another.
    correct ? (known?.mixId ?? '') : null,
  );
  const [usedText, setUsed] = useState<string | null>(known?.usedMl?.toString() ?? null);
  const mixes = (shelf.data?.mixes ?? []).filter(
    (m) => m.sheetId === sheetId && (m.leftMl > 1 || m.mixId === known?.mixId),
  );
  // The cup that stands there is what it was coated from, unless someone says otherwise: of its colour, and still good.
  const usual = mixes.find((m) => mayBeFrom(m, part) && !isMixGone(m, part.nowMs));
  const chosenMixId = mixId ?? usual?.mixId ?? '';
  const mix = mixes.find((m) => m.mixId === chosenMixId);
  const used =
    usedText ??
    (mix && sheet ? usualUse(part.card, sheet, mix, face === null ? part.faces.length : 1, tool) : '');
  const [problem, setProblem] = useState<string | null>(null);
  const view = part.faces.find((f) => f.face === (face ?? part.card.face)) ?? part.faces[0]!;
  const gates = sheet ? judgeGates(conditionsOf(part), limitsOf(sheet)) : null;

  const log = (why: string): void => {
    const um = parseQuantity(film, {
      field: 'Film',
      dimension: 'film',
      bareUnit: filmUnit,
      min: 1,
      max: 2000,
    });
    if (!um.ok) {
      setProblem(failureWords(um.error));
      return;
    }
    const usedMl = Number(used.replace(',', '.'));
    const taken = usedMl > 0 ? { usedMl } : {};
    // A cup of long ago is not listed any more; its coat still came from it.
    const keptMixId = !mix && chosenMixId !== '' ? chosenMixId : null;
    const mixed = mix
      ? { mixId: mix.mixId, ...mixFields(mix), ...taken }
      : keptMixId === null
        ? {}
        : { mixId: keptMixId, ...taken };
    const below = standingCoats(part, view.face).find((c) => c.factId !== correct?.factId);
    submit(
      {
        sheetId,
        dftUm: Number(um.value.value.toFixed(1)),
        tool,
        ...mixed,
        ...(batch.trim() && !mix ? { batch: batch.trim() } : {}),
        ...(thinner.trim() && !mix ? { thinnerPct: Number(thinner.replace(',', '.')) } : {}),
        ...(correct
          ? known && 'over' in known
            ? { over: known.over }
            : {}
          : below
            ? { over: below.factId }
            : {}),
        ...(why.trim() ? { reason: why.trim() } : {}),
      },
      evidenceOf(part, view, gates),
    );
  };
  // The predicted second gate needs the page's own act; measured ones are judged here for whichever product is chosen.
  const isMarginal = gates !== null && (gates.status !== 'pass' || view.act.code === 'coat-if-accepted');
  const top = sheets.data?.sheets.find((s) => s.sheetId === view.topSheetId) ?? null;
  const verdict =
    sheet && isNow && !correct ? coatVerdict({ ...view, top }, sheet, mix ?? null, part.nowMs) : null;
  // A gate has its own line and its chips; everything else is said before the touch, not after it.
  const refusal = verdict && !['held', 'marginal'].includes(verdict.why) ? verdict : null;
  const needsReason = error?.body.code === 'coat-refused';
  return (
    <>
      {refusal && !error ? (
        <p className="border-l-4 border-bad bg-ground p-3">{capital(coatRefusalWords(refusal))}</p>
      ) : null}
      {gates ? <Gates verdict={gates} /> : null}
      {sheet && sheet.cautions.length > 0 ? (
        <ul className="list-[square] border-l-4 border-mark bg-ground py-1.5 pr-3 pl-7 text-[14px]">
          {sheet.cautions.map((c) => (
            <li key={c}>{CAUTION_WORDS[c] ?? c}</li>
          ))}
        </ul>
      ) : null}
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <Field
          label="Product"
          problem={problemAt(error, 'body.sheetId')}
          hint={sheet ? sheet.source : 'choose what was put on'}
        >
          <select aria-label="Product" value={sheetId} onChange={(e) => setSheetId(e.target.value)}>
            <option value="">—</option>
            {sheets.data?.sheets.map((s) => (
              <option key={s.sheetId} value={s.sheetId}>
                {s.name}
              </option>
            ))}
          </select>
        </Field>
        <Field
          label="Dry film"
          problem={problem ?? problemAt(error, 'body.dftUm')}
          hint={
            sheet ? `${units.film(sheet.dftMinUm)} to ${units.film(sheet.dftMaxUm)} by the sheet` : undefined
          }
        >
          <input value={film} onChange={(e) => setFilm(e.target.value)} aria-label="Dry film" />
        </Field>
      </div>
      <Choice
        label="Tool"
        value={tool}
        options={TOOLS.map((t) => ({ value: t, text: t }))}
        onChange={setTool}
      />
      {mixes.length > 0 ? (
        <MixChoice
          mixes={mixes}
          chosen={chosenMixId}
          used={used}
          nowMs={part.nowMs}
          onMix={setMixId}
          onUsed={setUsed}
        />
      ) : null}
      {mix ? null : (
        <div className="grid grid-cols-2 gap-3">
          <Field label="Batch" hint="on the tin; left and right from one">
            <input value={batch} onChange={(e) => setBatch(e.target.value)} />
          </Field>
          <Field label="Thinner, % of A+B" problem={problemAt(error, 'body.thinnerPct')}>
            <input inputMode="decimal" value={thinner} onChange={(e) => setThinner(e.target.value)} />
          </Field>
        </div>
      )}
      {needsReason || refusal ? (
        <Field label="Why it was done all the same">
          <input value={reason} autoFocus={needsReason} onChange={(e) => setReason(e.target.value)} />
        </Field>
      ) : null}
      {children}
      <Foot>
        {isMarginal && !correct && !needsReason ? (
          <fieldset className="flex flex-col gap-2">
            <legend className="mb-1">
              {gates.status === 'fail'
                ? 'The air forbids it. If it was done all the same, say why:'
                : 'Not a clear pass. Accept it with a reason; the touch logs the coat:'}
            </legend>
            <div className="flex flex-wrap gap-2">
              {GATE_REASONS.map((r) => (
                <Button key={r} disabled={isBusy} onClick={() => log(r)}>
                  {r}
                </Button>
              ))}
            </div>
          </fieldset>
        ) : (
          <Button
            look="main"
            autoFocus={!needsReason}
            disabled={isBusy || (needsReason && reason.trim() === '')}
            onClick={() => log(reason)}
          >
            {correct ? 'Save correction' : `${FACT_WORDS.coated}: log it`}
          </Button>
        )}
      </Foot>
    </>
  );
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** What a coat of this part usually takes from a cup, thinner in it, mL; no more than the cup holds. Empty without an area. */
function usualUse(card: PartCard, sheet: ProductSheet, mix: MixView, faces: number, tool: Tool): string {
  const { need } = needOf(card, sheet, { by: applicatorOf(tool), shape: 'flat', thinPct: mix.thinPct });
  return need?.ok
    ? Math.min(mix.leftMl, faces * need.value.mixedMl * (1 + mix.thinPct / 100)).toFixed(0)
    : '';
}

/** A cup of no colour, or of the part's own. */
const mayBeFrom = (m: MixView, part: PartDetail): boolean =>
  m.colour === null || m.colour === part.colourGroup;

const mixFields = (m: MixView) => ({
  ...(m.batch === null ? {} : { batch: m.batch }),
  thinnerPct: Number(m.thinPct.toFixed(1)),
});

interface MixChoiceProps {
  readonly mixes: readonly MixView[];
  readonly chosen: string;
  readonly used: string;
  readonly nowMs: number;
  readonly onMix: (mixId: string) => void;
  readonly onUsed: (used: string) => void;
}

/** The cup it came from: batch, thinner and age follow from it, and what it used goes off the cup. */
function MixChoice({ mixes, chosen, used, nowMs, onMix, onUsed }: MixChoiceProps) {
  const units = useUnits();
  return (
    <div className="grid grid-cols-2 gap-3">
      <Field label="From the cup">
        <select aria-label="From the cup" value={chosen} onChange={(e) => onMix(e.target.value)}>
          {mixes.map((m) => (
            <option key={m.mixId} value={m.mixId}>
              {units.volume(m.leftMl)} left{m.colour === null ? '' : `, ${m.colour}`}
              {m.batch === null ? '' : `, batch ${m.batch}`}
              {isMixGone(m, nowMs) ? ' · gone off' : ''}
            </option>
          ))}
          <option value="">none of these</option>
        </select>
      </Field>
      <Field label="Used of it, mL" hint="through the tool; empty: not measured">
        <input inputMode="decimal" value={used} onChange={(e) => onUsed(e.target.value)} />
      </Field>
    </div>
  );
}

/** One line when all pass; each gate in its own line as soon as one does not. */
function Gates({ verdict }: { readonly verdict: GateVerdict }) {
  const lines = verdict.gates.map((g) => <GateLine key={g.kind} gate={g} />);
  return verdict.status === 'pass' ? (
    <details className="border border-line bg-ground px-2 py-1 text-[14px]">
      <summary className="cursor-pointer">
        <span className="figure mr-2 text-good">pass</span>
        all {verdict.gates.length} gates pass now
      </summary>
      {lines}
    </details>
  ) : (
    <div className="flex flex-col gap-0.5 border border-line bg-ground p-2">{lines}</div>
  );
}

function conditionsOf(part: PartDetail) {
  const { airC, rhPct, surfaceC, surfaceSpreadK } = part.conditions;
  return { airC, rhPct, surfaceC, ...(surfaceSpreadK === null ? {} : { surfaceSpreadK }) };
}

function shownFilm(um: number | null, unit: 'um' | 'mil'): string {
  if (um === null) return '';
  return unit === 'mil' ? (um / UM_PER_MIL).toFixed(1) : String(Math.round(um));
}

/** Standing coats of a face, newest first. */
function standingCoats(part: PartDetail, face: Face) {
  return part.facts.flatMap((f) =>
    f.kind === 'coated' && f.isStanding && (f.face === null || f.face === face) ? [f] : [],
  );
}

function lastCoatOf(part: PartDetail, sheetId: string) {
  const coats = part.facts.flatMap((f) => (f.kind === 'coated' && f.isStanding ? [f] : []));
  return (coats.find((c) => c.body.sheetId === sheetId) ?? coats[0])?.body;
}

/** What was on the page when the person decided: kept in the fact, never read by derivation (docs/decisions 11). */
function evidenceOf(part: PartDetail, face: FaceView, gates: GateVerdict | null): Record<string, unknown> {
  const { airC, rhPct, surfaceC, dewPointC, basis, trust } = part.conditions;
  return {
    seenAtMs: part.nowMs,
    headline: face.headline,
    act: face.act.code,
    conditions: { airC, rhPct, surfaceC, dewPointC, basis, trust },
    gates:
      gates?.gates.map((g) => ({ kind: g.kind, status: g.status, value: g.value, limit: g.limit })) ?? [],
  };
}
