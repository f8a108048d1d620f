import { useState } from 'react';
import {
  ACCEPTANCE,
  combPrediction,
  GAUGE_ZEROS,
  judgeFilm,
  parseQuantity,
  PROFILES,
  readingsNeeded,
  UM_PER_MIL,
  type AcceptanceRule,
  type Face,
  type FilmReadBody,
  type GaugeZero,
  type ProfileGrade,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { ACCEPTANCE_WORDS, PROFILE_WORDS, ZERO_WORDS } from '@calvetta/contract/words';
import { getGaugeCsv } from '../api/client.ts';
import { usePart, useSheets } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { Foot } from '../ui/Foot.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { FilmVerdict } from './FilmVerdict.tsx';
import { failureWords } from './failureWords.ts';
import { gaugeRefusalWords, readGaugeText } from './filmEntry.ts';
import { isRefusal, refusalWords } from './refusal.ts';
import { useRecord } from './useRecord.ts';

interface Props {
  readonly partId: string;
  readonly onClose: () => void;
}

/** Film readings of a part: by keypad, pasted or from a gauge's file, or a wet comb; judged before they are stored. */
export function FilmDialog({ partId, onClose }: Props) {
  const part = usePart(partId);
  return (
    <Panel title="Film readings" subtitle={part.data?.card.name ?? ''} onClose={onClose}>
      {part.data ? (
        <FilmForm part={part.data} onClose={onClose} />
      ) : (
        <Waiting error={part.error} what="part" />
      )}
    </Panel>
  );
}

type How = 'keypad' | 'file' | 'comb';
const HOW: readonly { readonly value: How; readonly text: string }[] = [
  { value: 'keypad', text: 'keypad' },
  { value: 'file', text: 'paste or file' },
  { value: 'comb', text: 'wet comb' },
];

/** What was specified of the coats that are on: the route's film without what is still to come; else as logged. */
export function nominalOf(card: Pick<PartDetail['card'], 'layers' | 'specifiedUm'>): number {
  const sum = (isPlanned: boolean): number =>
    card.layers.reduce((s, l) => s + (l.isPlanned === isPlanned ? l.dftUm : 0), 0);
  const specifiedUm = card.specifiedUm - sum(true);
  return specifiedUm > 0 ? specifiedUm : sum(false);
}

function FilmForm({ part, onClose }: { readonly part: PartDetail; readonly onClose: () => void }) {
  const record = useRecord();
  const units = useUnits();
  const filmUnit = usePrefs((s) => s.units.film);
  const [how, setHow] = useState<How>('keypad');
  const [face, setFace] = useState<Face>(part.card.face);
  const [rule, setRule] = useState<AcceptanceRule>('iso-19840');
  const [zero, setZero] = useState<GaugeZero>('smooth');
  const [profile, setProfile] = useState<ProfileGrade>(part.card.profileUm >= 40 ? 'medium' : 'none');
  const shownUm = (um: number): string =>
    filmUnit === 'mil' ? (um / UM_PER_MIL).toFixed(1) : String(Math.round(um));
  const [nominal, setNominal] = useState(() => shownUm(nominalOf(part.card)));
  const [most, setMost] = useState('');
  const [readings, setReadings] = useState<readonly number[]>([]);
  const [comb, setComb] = useState<FilmReadBody | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const areaM2 = part.card.areaM2 === null ? null : part.card.areaM2 / part.card.faceCount;
  const um = (text: string, field: string) =>
    parseQuantity(text, { field, dimension: 'film', bareUnit: filmUnit, min: 1, max: 5000 });
  const nominalUm = um(nominal, 'Specified film');
  const mostUm = most.trim() === '' ? null : um(most, 'Most');
  const body: FilmReadBody | null =
    how === 'comb'
      ? comb
      : readings.length > 0 && nominalUm.ok && (mostUm?.ok ?? true)
        ? {
            scope: 'system',
            by: 'gauge',
            readingsUm: readings.map((x) => Number(x.toFixed(2))),
            perSpot: rule === 'pa-2' ? 3 : 1,
            zero,
            profile,
            baseUm: null,
            rule,
            nominalUm: nominalUm.value.value,
            minUm: rule === 'pa-2' ? nominalUm.value.value : null,
            maxUm: mostUm?.ok ? mostUm.value.value : null,
          }
        : null;
  const judgement = body ? judgeFilm(body, areaM2) : null;
  const store = (): void => {
    if (!body) return;
    record({
      kind: 'film-read',
      partId: part.card.partId,
      partName: part.card.name,
      face: part.faces.length > 1 ? face : null,
      happenedMs: Date.now(),
      endedMs: null,
      body: { ...body },
      evidence: { verdict: judgement?.acceptance?.verdict ?? null, areaM2 },
    })
      .then(onClose)
      .catch((e: unknown) => {
        if (!isRefusal(e)) throw e;
        setProblem(refusalWords(e));
      });
  };
  return (
    <div className="flex flex-col gap-3">
      <div className="flex flex-wrap gap-5">
        <Choice label="How" value={how} options={HOW} onChange={setHow} />
        {part.faces.length > 1 ? (
          <Choice<Face>
            label="Face"
            value={face}
            options={part.faces.map((f) => ({ value: f.face, text: f.face }))}
            onChange={setFace}
          />
        ) : null}
      </div>
      {how === 'comb' ? (
        <CombEntry part={part} onBody={setComb} />
      ) : (
        <>
          {how === 'keypad' ? (
            <Keypad onAdd={(x) => setReadings([...readings, x])} unit={filmUnit} />
          ) : (
            <FileEntry part={part} needed={readingsNeeded(areaM2 ?? 1)} onReadings={setReadings} />
          )}
          <Readings list={readings} onRemove={(i) => setReadings(readings.filter((_, k) => k !== i))} />
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
            <Field label="Judged by">
              <select value={rule} onChange={(e) => setRule(e.target.value as AcceptanceRule)}>
                {ACCEPTANCE.map((r) => (
                  <option key={r} value={r}>
                    {ACCEPTANCE_WORDS[r]}
                  </option>
                ))}
              </select>
            </Field>
            <Field
              label="Specified film"
              problem={nominalUm.ok ? null : failureWords(nominalUm.error)}
              hint="whole film on the metal"
            >
              <input value={nominal} onChange={(e) => setNominal(e.target.value)} />
            </Field>
            <Field
              label="At most"
              problem={mostUm && !mostUm.ok ? failureWords(mostUm.error) : null}
              hint={rule === 'iso-19840' ? 'empty: three times that' : 'by the specification'}
            >
              <input value={most} onChange={(e) => setMost(e.target.value)} />
            </Field>
            <Field label="Gauge set on">
              <select value={zero} onChange={(e) => setZero(e.target.value as GaugeZero)}>
                {GAUGE_ZEROS.map((z) => (
                  <option key={z} value={z}>
                    {ZERO_WORDS[z]}
                  </option>
                ))}
              </select>
            </Field>
            <Field label="Profile under it">
              <select value={profile} onChange={(e) => setProfile(e.target.value as ProfileGrade)}>
                {PROFILES.map((p) => (
                  <option key={p} value={p}>
                    {PROFILE_WORDS[p]}
                  </option>
                ))}
              </select>
            </Field>
          </div>
          <p className="text-[13px] text-quiet">
            {readingsNeeded(areaM2 ?? 1)} readings for {units.area(areaM2)} (ISO 19840, from memory). Zero on
            the same metal and section; 25 mm from edges; unreliable on sheet under 0.5 mm; grey iron wants a
            base reading before coating.
          </p>
        </>
      )}
      {judgement?.statistics ? <FilmVerdict judgement={judgement} body={body!} /> : null}
      {problem ? (
        <p role="alert" className="text-bad">
          {problem}
        </p>
      ) : null}
      <Foot>
        <Button look="main" disabled={body === null} onClick={store}>
          {how === 'comb' ? 'Store the comb' : `Store ${readings.length} readings`}
        </Button>
      </Foot>
    </div>
  );
}

interface KeypadProps {
  readonly onAdd: (um: number) => void;
  readonly unit: 'um' | 'mil';
}
const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'] as const;

/** Keys for a gloved finger, or the keyboard: Enter takes the reading. */
function Keypad({ onAdd, unit }: KeypadProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const add = (): void => {
    const r = parseQuantity(text, { field: 'Reading', dimension: 'film', bareUnit: unit, min: 0, max: 5000 });
    if (!r.ok) {
      setProblem(failureWords(r.error));
      return;
    }
    setProblem(null);
    setText('');
    onAdd(r.value.value);
  };
  return (
    <form
      className="flex flex-wrap items-start gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        add();
      }}
    >
      <div className="grid w-[168px] grid-cols-3 gap-1" aria-hidden="true">
        {KEYS.map((k) => (
          <button
            key={k}
            type="button"
            tabIndex={-1}
            className="figure min-h-11 rounded-sm border border-line bg-ground text-[18px] hover:border-ink"
            onClick={() => setText(k === '⌫' ? text.slice(0, -1) : text + k)}
          >
            {k}
          </button>
        ))}
      </div>
      <div className="flex flex-col gap-2">
        <Field label={`Reading, ${unit === 'mil' ? 'mil' : 'µm'}`} problem={problem}>
          <input
            autoFocus
            inputMode="none"
            className="figure w-28 text-[22px]"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        </Field>
        <Button type="submit" disabled={text === ''}>
          Take it
        </Button>
      </div>
    </form>
  );
}

interface ReadingsProps {
  readonly list: readonly number[];
  readonly onRemove: (index: number) => void;
}
function Readings({ list, onRemove }: ReadingsProps) {
  const units = useUnits();
  if (list.length === 0) return null;
  return (
    <ul aria-label="Readings" className="flex max-h-24 flex-wrap gap-1 overflow-y-auto">
      {list.map((x, i) => (
        <li key={i}>
          <button
            type="button"
            title="Take it out"
            className="figure rounded-sm border border-line bg-ground px-2 hover:line-through"
            onClick={() => onRemove(i)}
          >
            {units.film(x)}
          </button>
        </li>
      ))}
    </ul>
  );
}

interface FileProps {
  readonly part: PartDetail;
  readonly needed: number;
  readonly onReadings: (um: readonly number[]) => void;
}

/** A pasted column, a gauge's CSV, or the simulated gauge that ships with Calvetta. A missing unit is asked for. */
function FileEntry({ part, needed, onReadings }: FileProps) {
  const [text, setText] = useState('');
  const [unit, setUnit] = useState<'um' | 'mil' | null>(null);
  const answer = text.trim() === '' ? null : readGaugeText(text, unit);
  const take = (next: string, nextUnit: 'um' | 'mil' | null): void => {
    setText(next);
    setUnit(nextUnit);
    const r = next.trim() === '' ? null : readGaugeText(next, nextUnit);
    onReadings(r?.ok ? r.value.readingsUm : []);
  };
  return (
    <div className="flex flex-col gap-2">
      <Field label="Readings" hint="a column from a spreadsheet, or the gauge’s own file">
        <textarea rows={4} value={text} onChange={(e) => take(e.target.value, null)} />
      </Field>
      <div className="flex flex-wrap items-center gap-2">
        <input
          type="file"
          accept=".csv,.txt"
          aria-label="The gauge’s file"
          onChange={(e) => void e.target.files?.[0]?.text().then((t) => take(t, null))}
        />
        <Button onClick={() => void getGaugeCsv(part.card.partId, needed, 'um').then((t) => take(t, null))}>
          Read the simulated gauge
        </Button>
      </div>
      {answer && !answer.ok ? (
        <p role="alert" className="flex flex-wrap items-center gap-2 text-warn">
          {gaugeRefusalWords(answer.error)}
          {answer.error.code === 'which-unit' ? (
            <>
              <Button onClick={() => take(text, 'um')}>µm</Button>
              <Button onClick={() => take(text, 'mil')}>mil</Button>
            </>
          ) : null}
        </p>
      ) : null}
      {answer?.ok && answer.value.skipped.length > 0 ? (
        <p className="text-[13px] text-quiet">
          Not readings: {answer.value.skipped.map((s) => `line ${s.line} “${s.text}”`).join(', ')}
        </p>
      ) : null}
    </div>
  );
}

interface CombProps {
  readonly part: PartDetail;
  readonly onBody: (body: FilmReadBody | null) => void;
}

/** The comb pressed into the wet coat: the last tooth that is wet and the next that is dry, as the film they dry to. */
function CombEntry({ part, onBody }: CombProps) {
  const units = useUnits();
  const sheets = useSheets();
  const coat = part.facts.flatMap((f) => (f.kind === 'coated' && f.isStanding ? [f] : []))[0];
  const sheet = sheets.data?.sheets.find((s) => s.sheetId === coat?.body.sheetId);
  const [wet, setWet] = useState('');
  const [dry, setDry] = useState('');
  const thinPct = coat?.mix?.thinPct ?? coat?.body.thinnerPct ?? 0;
  const predict = (wetText: string, dryText: string) =>
    sheet && wetText !== '' && dryText !== ''
      ? combPrediction({ wetToothUm: Number(wetText), dryToothUm: Number(dryText) }, sheet.vsPct, thinPct)
      : null;
  const change = (wetText: string, dryText: string): void => {
    setWet(wetText);
    setDry(dryText);
    const p = predict(wetText, dryText);
    onBody(
      p?.ok
        ? {
            scope: 'coat',
            by: 'comb',
            readingsUm: [Number(p.value.leastUm.toFixed(1)), Number(p.value.mostUm.toFixed(1))],
            perSpot: 1,
            zero: 'unknown',
            profile: 'none',
            baseUm: null,
            rule: 'own',
            nominalUm: coat?.body.dftUm ?? sheet!.dftUm,
            minUm: null,
            maxUm: null,
          }
        : null,
    );
  };
  if (!coat || !sheet)
    return <p className="text-quiet">No coat is on yet: the comb reads the coat just laid.</p>;
  const p = predict(wet, dry);
  return (
    <div className="flex flex-col gap-2">
      <p className="text-quiet">
        {sheet.name}, {sheet.vsPct} % solids, {thinPct.toFixed(0)} % thinner: {units.film(coat.body.dftUm)}{' '}
        meant
      </p>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Last tooth that is wet, µm">
          <input autoFocus inputMode="numeric" value={wet} onChange={(e) => change(e.target.value, dry)} />
        </Field>
        <Field label="First tooth that is dry, µm">
          <input inputMode="numeric" value={dry} onChange={(e) => change(wet, e.target.value)} />
        </Field>
      </div>
      <p role="status" className={p && !p.ok ? 'text-bad' : 'figure text-[20px]'}>
        {p === null
          ? ''
          : p.ok
            ? `dries to about ${units.film(p.value.dftUm)}, ${units.film(p.value.leastUm)} to ${units.film(p.value.mostUm)}`
            : failureWords(p.error)}
      </p>
    </div>
  );
}
