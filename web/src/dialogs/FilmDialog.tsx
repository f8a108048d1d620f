import { useState } from 'react';
import {
  ACCEPTANCE,
  GAUGE_ZEROS,
  judgeFilm,
  PROFILES,
  readingsNeeded,
  type AcceptanceRule,
  type Face,
  type FilmReadBody,
  type GaugeZero,
  type ProfileGrade,
} from '@calvetta/core';
import type { FaceView, PartDetail } from '@calvetta/contract';
import { ACCEPTANCE_WORDS, PROFILE_WORDS, ZERO_WORDS } from '@calvetta/contract/words';
import { usePart } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../forms/Field.tsx';
import { QuantityField, SelectField } from '../forms/fields.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { MeasuredWith, useMeasuredWith } from '../forms/MeasuredWith.tsx';
import { maybe, quantity } from '../forms/read.ts';
import { useDraft, type Bound } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { shownFilm } from './coat/coatDraft.ts';
import { Foot } from '../forms/Foot.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { moment } from '../ui/time.ts';
import { useUnits } from '../ui/useUnits.ts';
import { FilmVerdict } from './FilmVerdict.tsx';
import { CombEntry } from './film/CombEntry.tsx';
import { FileEntry } from './film/FileEntry.tsx';
import { Readings } from './film/Keypad.tsx';
import { KeypadEntry, type Taken } from './film/KeypadEntry.tsx';
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

const film = (field: string, bareUnit: 'um' | 'mil') =>
  quantity({ field, dimension: 'film', bareUnit, min: 1, max: 5000 });

/** How the readings are judged, as the form has it. */
interface Judging {
  readonly rule: AcceptanceRule;
  readonly zero: GaugeZero;
  readonly profile: ProfileGrade;
  readonly nominalUm: number;
  readonly maxUm: number | null;
  /** Null: nobody noted what it was read with. */
  readonly gaugeId: string | null;
}

const gaugeBody = (readings: readonly Taken[], j: Judging): FilmReadBody => ({
  scope: 'system',
  by: 'gauge',
  readingsUm: readings.map((x) => Number(x.um.toFixed(2))),
  ...(readings.some((r) => r.spot !== null) ? { spots: readings.map((r) => r.spot) } : {}),
  ...(j.gaugeId === null ? {} : { gaugeId: j.gaugeId }),
  perSpot: j.rule === 'pa-2' ? 3 : 1,
  zero: j.zero,
  profile: j.profile,
  baseUm: null,
  rule: j.rule,
  nominalUm: j.nominalUm,
  minUm: j.rule === 'pa-2' ? j.nominalUm : null,
  maxUm: j.maxUm,
});

/** Readings of now, as an entry. */
const readOf = (part: PartDetail, face: Face, body: FilmReadBody) =>
  ({
    kind: 'film-read',
    partId: part.card.partId,
    partName: part.card.name,
    face: part.faces.length > 1 ? face : null,
    happenedMs: Date.now(),
    endedMs: null,
    body: { ...body },
  }) as const;

/** A gauge presses into a wet film and reads something else. */
function StillWet({
  face,
  nowMs,
  zone,
}: {
  readonly face: FaceView;
  readonly nowMs: number;
  readonly zone: string;
}) {
  const dryMs = face.stages.find((s) => s.stage === 'touch')?.edge.worstMs ?? null;
  return (
    <p role="alert" className="border-l-4 border-bad pl-3">
      The film is still wet: a gauge presses into it. Read a wet comb now, the gauge
      {dryMs === null
        ? ' once it is touch-dry'
        : ` once it is touch-dry, ${moment(dryMs, nowMs, zone)} at the latest`}
      .
    </p>
  );
}

function FilmForm({ part, onClose }: { readonly part: PartDetail; readonly onClose: () => void }) {
  const record = useRecord();
  const save = useSave();
  const filmUnit = usePrefs((s) => s.units.film);
  const [face, setFace] = useState<Face>(part.card.face);
  const wet = part.faces.find((f) => f.face === face && f.cure === 'wet');
  const [how, setHow] = useState<How>(wet ? 'comb' : 'keypad');
  const [rule, setRule] = useState<AcceptanceRule>('iso-19840');
  const [zero, setZero] = useState<GaugeZero>('smooth');
  const [profile, setProfile] = useState<ProfileGrade>(part.card.profileUm >= 40 ? 'medium' : 'none');
  const gaugeId = useMeasuredWith('film');
  const draft = useDraft(
    { nominalUm: film('Specified film', filmUnit), maxUm: maybe(film('Most', filmUnit)) },
    () => ({ nominalUm: shownFilm(nominalOf(part.card), filmUnit), maxUm: '' }),
  );
  const [readings, setReadings] = useState<readonly Taken[]>([]);
  const [comb, setComb] = useState<FilmReadBody | null>(null);
  const areaM2 = part.card.areaM2 === null ? null : part.card.areaM2 / part.card.faceCount;
  const body =
    how === 'comb'
      ? comb
      : readings.length > 0 && draft.values
        ? gaugeBody(readings, { rule, zero, profile, gaugeId, ...draft.values })
        : null;
  const judgement = body ? judgeFilm(body, areaM2) : null;
  const store = (): void => {
    if (!body) return;
    const evidence = { verdict: judgement?.acceptance?.verdict ?? null, areaM2 };
    save.run(() => record({ ...readOf(part, face, body), evidence }), onClose);
  };
  return (
    <div className="flex flex-col gap-3">
      <HowAndFace part={part} how={how} onHow={setHow} face={face} onFace={setFace} />
      {wet && how !== 'comb' ? <StillWet face={wet} nowMs={part.nowMs} zone={part.zone} /> : null}
      {how === 'comb' ? <CombEntry part={part} onBody={setComb} /> : null}
      {how === 'keypad' ? (
        <KeypadEntry
          kind={part.survey?.kind ?? 'unknown'}
          body={body}
          unit={filmUnit}
          onTake={(taken) => setReadings([...readings, taken])}
        />
      ) : null}
      {how === 'file' ? (
        <FileEntry
          part={part}
          needed={readingsNeeded(areaM2 ?? 1)}
          onReadings={(list) => setReadings(list.map((um) => ({ um, spot: null })))}
        />
      ) : null}
      {how === 'comb' ? null : (
        <>
          <Readings
            list={readings.map((r) => r.um)}
            onRemove={(i) => setReadings(readings.filter((_, k) => k !== i))}
          />
          <MeasuredWith kind="film" />
          <JudgedBy
            {...{ rule, setRule, zero, setZero, profile, setProfile, areaM2 }}
            nominal={draft.bind('nominalUm')}
            most={draft.bind('maxUm')}
          />
        </>
      )}
      {body && judgement?.statistics ? <FilmVerdict judgement={judgement} body={body} /> : null}
      <FormTrouble words={save.trouble} />
      <Foot>
        <Button
          look="main"
          disabled={(how === 'comb' ? comb === null : readings.length === 0) || save.isBusy}
          onClick={() => (how === 'comb' || draft.read() ? store() : undefined)}
        >
          {how === 'comb' ? 'Store the comb' : `Store ${readings.length} readings`}
        </Button>
      </Foot>
    </div>
  );
}

/** By which means it is read, and which face. */
function HowAndFace({
  part,
  how,
  onHow,
  face,
  onFace,
}: {
  readonly part: PartDetail;
  readonly how: How;
  readonly onHow: (how: How) => void;
  readonly face: Face;
  readonly onFace: (face: Face) => void;
}) {
  return (
    <div className="flex flex-wrap gap-5">
      <Choice label="How" value={how} options={HOW} onChange={onHow} />
      {part.faces.length > 1 ? (
        <Choice<Face>
          label="Face"
          value={face}
          options={part.faces.map((f) => ({ value: f.face, text: f.face }))}
          onChange={onFace}
        />
      ) : null}
    </div>
  );
}

interface JudgedProps {
  readonly rule: AcceptanceRule;
  readonly setRule: (r: AcceptanceRule) => void;
  readonly zero: GaugeZero;
  readonly setZero: (z: GaugeZero) => void;
  readonly profile: ProfileGrade;
  readonly setProfile: (p: ProfileGrade) => void;
  readonly nominal: Bound;
  readonly most: Bound;
  readonly areaM2: number | null;
}

/** By which rule, against which film, and what the gauge was set on. */
function JudgedBy({ nominal, most, areaM2, ...set }: JudgedProps) {
  const units = useUnits();
  return (
    <>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <SelectField
          label="Judged by"
          value={set.rule}
          options={ACCEPTANCE.map((r) => ({ value: r, text: ACCEPTANCE_WORDS[r] }))}
          onChange={set.setRule}
        />
        <QuantityField label="Specified film" hint="whole film on the metal" bound={nominal} />
        <QuantityField
          label="At most"
          hint={set.rule === 'iso-19840' ? 'empty: three times that' : 'by the specification'}
          bound={most}
        />
        <SelectField
          label="Gauge set on"
          value={set.zero}
          options={GAUGE_ZEROS.map((z) => ({ value: z, text: ZERO_WORDS[z] }))}
          onChange={set.setZero}
        />
        <SelectField
          label="Profile under it"
          value={set.profile}
          options={PROFILES.map((p) => ({ value: p, text: PROFILE_WORDS[p] }))}
          onChange={set.setProfile}
        />
      </div>
      <p className="text-[13px] text-quiet">
        {readingsNeeded(areaM2 ?? 1)} readings for {units.area(areaM2)} (ISO 19840, from memory). Zero on the
        same metal and section; 25 mm from edges; unreliable on sheet under 0.5 mm; grey iron wants a base
        reading before coating.
      </p>
    </>
  );
}
