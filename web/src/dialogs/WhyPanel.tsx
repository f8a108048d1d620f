import type { ReactNode } from 'react';
import type { Edge, StageTimes } from '@calvetta/core';
import type { FaceView, PartDetail } from '@calvetta/contract';
import {
  BARE_WORDS,
  CURE_WORDS,
  SHUT_REASON_WORDS,
  STAGE_WORDS,
  SUSPECT_WORDS,
  SURFACE_BASIS_WORDS,
  TRUST_WORDS,
  WINDOW_BASIS_WORDS,
  WORKINGS,
  type Working,
} from '@calvetta/contract/words';
import { usePart, useSheets } from '../api/queries.ts';
import { useNowMs } from '../state/clock.ts';
import { actView } from '../words/actText.ts';
import { Panel } from '../ui/Panel.tsx';
import { StateWord } from '../ui/StateWord.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { duration, moment } from '../ui/time.ts';
import { useUnits } from '../ui/useUnits.ts';
import { GateLine } from '../ui/GateLine.tsx';
import { faceName } from '../screens/part/faceName.ts';

/** The working behind a part's state: inputs, formula, sheet, source. Nothing here is computed; core did. */
export function WhyPanel({ partId, onClose }: { readonly partId: string; readonly onClose: () => void }) {
  const part = usePart(partId);
  return (
    <Panel
      side
      title="Why?"
      subtitle={part.data ? `${part.data.card.name} · ${part.data.card.machineName}` : ''}
      onClose={onClose}
    >
      {part.data ? <Why part={part.data} /> : <Waiting error={part.error} what="part" />}
    </Panel>
  );
}

function Why({ part }: { readonly part: PartDetail }) {
  const nowMs = useNowMs();
  const units = useUnits();
  const view = actView(part.card, nowMs, part.zone, units);
  return (
    <div className="flex flex-col gap-5">
      <p className="text-[16px]">
        <StateWord headline={part.card.headline} isLarge explains="here" /> · {view.text}
      </p>
      <AirSection part={part} />
      {part.faces.map((f) => (
        <FaceSection key={f.face} part={part} face={f} isOnly={part.faces.length === 1} />
      ))}
      {part.lag ? (
        <Topic title="The part’s own temperature" working={WORKINGS.lag}>
          <p>
            It lags the air by {duration(part.lag.tauS * 1000)} (
            {part.lag.by === 'own-readings'
              ? `fitted to ${part.lag.n ?? 0} of its own readings, r.m.s. error ${units.spread(part.lag.fittedRmsK ?? 0, 2)}`
              : part.lag.by === 'thickest-web'
                ? 'by its thickest web'
                : 'by mass and area'}
            ).{' '}
            {part.lag.isLump
              ? ''
              : 'Its Biot number is above 0.1: the inside lags the skin, so do not rely on this alone. Measure it.'}
          </p>
        </Topic>
      ) : null}
    </div>
  );
}

function AirSection({ part }: { readonly part: PartDetail }) {
  const units = useUnits();
  const c = part.conditions;
  const nowMs = useNowMs();
  return (
    <Topic
      title={c.placeName === null ? 'No place given' : `Air of the ${c.placeName.toLowerCase()}`}
      working={WORKINGS.dewPoint}
    >
      <p className="figure flex flex-wrap gap-x-5 text-[18px]">
        <span>{units.temp(c.airC)} air</span>
        <span>{units.pct(c.rhPct)} RH</span>
        <span>{units.temp(c.dewPointC)} dew point</span>
        <span>{units.temp(c.surfaceC)} part</span>
      </p>
      <p className="text-quiet">
        Reading {TRUST_WORDS[c.trust]}
        {c.atMs === null ? '' : `, ${duration(nowMs - c.atMs)} old`}; surface: {SURFACE_BASIS_WORDS[c.basis]}.
      </p>
    </Topic>
  );
}

function FaceSection({
  part,
  face,
  isOnly,
}: {
  readonly part: PartDetail;
  readonly face: FaceView;
  readonly isOnly: boolean;
}) {
  const name = isOnly ? '' : `${faceName(part, face.face)}: `;
  return (
    <>
      {face.gates.length > 0 ? (
        <Topic title={`${name}gates of the next coat`} working={WORKINGS.dewMargin}>
          {face.gates.map((g) => (
            <GateLine key={g.kind} gate={g} />
          ))}
          <UntilTouchLine part={part} face={face} />
        </Topic>
      ) : null}
      {face.suspect ? (
        <Topic title={`${name}suspect`}>
          <p>
            {SUSPECT_WORDS[face.suspect.cause]} {moment(face.suspect.atMs, part.nowMs, part.zone)}. Only a
            logged test lets the clock speak again.
          </p>
        </Topic>
      ) : null}
      {face.bare ? <BareSection part={part} face={face} name={name} /> : null}
      {face.rule ? <WindowSection part={part} face={face} name={name} /> : null}
      {face.stages.length > 0 ? <StagesSection part={part} face={face} name={name} /> : null}
    </>
  );
}

function UntilTouchLine({ part, face }: { readonly part: PartDetail; readonly face: FaceView }) {
  const units = useUnits();
  const u = face.untilTouch;
  if (!u) return null;
  return (
    <p className="text-[14px] text-quiet">
      {u.leastMarginK === null || u.atMs === null
        ? 'Whether it stays dry until touch-dry cannot be predicted: no forecast, or no touch-dry time on the sheet.'
        : `Predicted until touch-dry (${u.touchMs === null ? 'unknown' : moment(u.touchMs, part.nowMs, part.zone)}): least margin ${units.kelvin(u.leastMarginK)} at ${moment(u.atMs, part.nowMs, part.zone)}.`}
    </p>
  );
}

function BareSection({
  part,
  face,
  name,
}: {
  readonly part: PartDetail;
  readonly face: FaceView;
  readonly name: string;
}) {
  const bare = face.bare!;
  return (
    <Topic title={`${name}bare metal, ${BARE_WORDS[bare.prep]}`} working={WORKINGS.bare}>
      <p>
        Since {moment(bare.sinceMs, part.nowMs, part.zone)}.{' '}
        {bare.edge === null ? (
          'It has no limit.'
        ) : bare.edge.isUnknown ? (
          'Its limit is unknown: ask.'
        ) : (
          <EdgeWords edge={bare.edge} part={part} word="Out" />
        )}{' '}
        A number alone is never a pass: look at it.
      </p>
    </Topic>
  );
}

function WindowSection({
  part,
  face,
  name,
}: {
  readonly part: PartDetail;
  readonly face: FaceView;
  readonly name: string;
}) {
  const rule = face.rule!;
  if (rule.kind !== 'intervals')
    return (
      <Topic title={`${name}window`}>
        <p>{SHUT_REASON_WORDS[rule.reason] ?? rule.reason}.</p>
      </Topic>
    );
  return (
    <Topic title={`${name}window for ${part.card.next?.name ?? 'the next coat'}`} working={WORKINGS.clock}>
      <p>By {WINDOW_BASIS_WORDS[rule.basis]}.</p>
      {face.intervals.map((i, k) => (
        <p key={k}>
          {i.wetOnWet ? 'Wet-on-wet: ' : ''}
          {i.prep === 'scuff' ? 'after scuffing: ' : ''}
          <EdgeWords edge={i.from} part={part} word="opens" />
          {i.to === null ? '; does not shut.' : '; '}
          {i.to ? <EdgeWords edge={i.to} part={part} word="shuts" /> : null}
        </p>
      ))}
      <p className="text-[13px] text-quiet">
        Opening: {WORKINGS.opening.formula} Shutting: {WORKINGS.shutting.formula} Start by:{' '}
        {WORKINGS.startBy.formula} ({part.card.leadMinutes} min)
      </p>
    </Topic>
  );
}

function EdgeWords({
  edge,
  part,
  word,
}: {
  readonly edge: Edge;
  readonly part: PartDetail;
  readonly word: string;
}) {
  const at = (ms: number | null): string =>
    ms === null ? 'beyond the forecast’s reach' : moment(ms, part.nowMs, part.zone);
  if (edge.isUnknown) return <span>{word}: unknown</span>;
  return (
    <span>
      {word} <strong>{at(edge.worstMs)}</strong> at worst{' '}
      <span className="text-quiet">
        (nominal {at(edge.nominalMs)}, at best {at(edge.bestMs)})
      </span>
    </span>
  );
}

function StagesSection({
  part,
  face,
  name,
}: {
  readonly part: PartDetail;
  readonly face: FaceView;
  readonly name: string;
}) {
  const units = useUnits();
  const listed = (t: StageTimes | null): string =>
    t ? t.points.map((p) => `${p.hours} h at ${units.temp(p.tempC, 0)}`).join(' · ') : 'silent';
  return (
    <Topic
      title={`${name}cure of the ${part.card.lastCoat?.name ?? 'coat'}: ${face.cure ? CURE_WORDS[face.cure] : 'unknown'}`}
    >
      <table className="w-full text-left text-[14px]">
        <thead className="figure text-[13px] text-quiet">
          <tr>
            <th className="font-medium">stage</th>
            <th className="font-medium">nominal</th>
            <th className="font-medium">at worst</th>
            <th className="font-medium">sheet</th>
          </tr>
        </thead>
        <tbody>
          {face.stages.map((s) => (
            <tr key={s.stage} className="border-t border-line align-top">
              <td className="py-1">{STAGE_WORDS[s.stage as keyof typeof STAGE_WORDS]}</td>
              <td className="figure">{when(s.edge.nominalMs, part)}</td>
              <td className="figure">{s.edge.isUnknown ? 'unknown' : when(s.edge.worstMs, part)}</td>
              <td className="text-[13px] text-quiet">{listed(s.times)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <SheetLine part={part} face={face} />
      {face.slowBy > 1.001 ? (
        <p>Stacked wet film: through-drying takes {face.slowBy.toFixed(2)} times as long.</p>
      ) : null}
      {Math.abs(face.speedBy - 1) > 0.001 ? (
        <p>This shop’s own tests run this product at {face.speedBy.toFixed(2)} of the sheet’s rate.</p>
      ) : null}
    </Topic>
  );
}

/** Which sheet the clocks ran on, its revision and where it is from. */
function SheetLine({ part, face }: { readonly part: PartDetail; readonly face: FaceView }) {
  const sheets = useSheets();
  const top = part.facts.find(
    (f) => f.kind === 'coated' && f.isStanding && (f.face === null || f.face === face.face),
  );
  const sheetId = top?.kind === 'coated' ? top.body.sheetId : null;
  const sheet = sheets.data?.sheets.find((s) => s.sheetId === sheetId);
  return sheet ? (
    <p className="text-[13px] text-quiet">
      Sheet: {sheet.name}, revision {sheet.revision}: {sheet.source}.
    </p>
  ) : null;
}

const when = (ms: number | null, part: PartDetail): string =>
  ms === null ? '—' : moment(ms, part.nowMs, part.zone);

function Topic({
  title,
  working,
  children,
}: {
  readonly title: string;
  readonly working?: Working;
  readonly children: ReactNode;
}) {
  return (
    <section className="flex flex-col gap-1.5 border-t border-line pt-3">
      <h3 className="text-[16px] first-letter:uppercase">{title}</h3>
      {children}
      {working ? (
        <details className="text-[13px] text-quiet">
          <summary className="cursor-pointer">formula and source</summary>
          <p>{working.formula}</p>
          <p>Source: {working.source}.</p>
        </details>
      ) : null}
    </section>
  );
}
