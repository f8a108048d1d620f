import { useState } from 'react';
import {
  ACCEPTANCE,
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
import { usePart } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { Foot } from '../ui/Foot.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { FilmVerdict } from './FilmVerdict.tsx';
import { failureWords } from './failureWords.ts';
import { CombEntry } from './film/CombEntry.tsx';
import { FileEntry } from './film/FileEntry.tsx';
import { Keypad, Readings } from './film/Keypad.tsx';
import { isRefusal, refusalWords } from './refusal.ts';
import { useRecord } from '../record/useRecord.ts';

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
