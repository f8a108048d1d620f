import { Link } from 'react-router';
import {
  boreLossUm,
  coatsMissing,
  facesLossUm,
  fitAfter,
  judgeFilm,
  type FilmJudgement,
  type FilmReadBody,
} from '@calvetta/core';
import type { FactView, PartDetail } from '@calvetta/contract';
import { useDialogs } from '../../state/dialogs.ts';
import { useSheets } from '../../api/queries.ts';
import { FilmVerdict } from '../../dialogs/FilmVerdict.tsx';
import { Button } from '../../ui/Button.tsx';
import { moment } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

type FilmRead = Extract<FactView, { kind: 'film-read' }>;

/** Film readings of the part: the newest with its verdict and what follows from it. */
export function FilmPanel({ part }: { readonly part: PartDetail }) {
  const show = useDialogs((s) => s.show);
  const reads = part.facts.flatMap((f): FilmRead[] => (f.kind === 'film-read' && f.isStanding ? [f] : []));
  const newest = reads[0];
  const areaM2 = part.card.areaM2 === null ? null : part.card.areaM2 / part.card.faceCount;
  return (
    <section aria-label="Film readings" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-[16px]">
          Film readings{' '}
          {newest ? (
            <span className="text-[13px] font-normal text-quiet">
              {newest.body.by === 'comb' ? 'wet comb' : 'dry film'},{' '}
              {moment(newest.happenedAtMs, part.nowMs, part.zone)}
              {newest.face === null ? '' : `, face ${newest.face}`}
            </span>
          ) : null}
        </h2>
        <Button onClick={() => show({ kind: 'film', partId: part.card.partId })}>Measure</Button>
      </div>
      {newest ? (
        <>
          <Newest part={part} body={newest.body} judgement={judgeFilm(newest.body, areaM2)} />
          {newest.gauge ? <ReadWith gauge={newest.gauge} part={part} /> : null}
        </>
      ) : (
        <p className="text-quiet">
          Nobody measured it yet: the section shows what was logged. Keypad, a gauge’s file, or a wet comb.
        </p>
      )}
      {reads.length > 1 ? (
        <p className="text-[13px] text-quiet">{reads.length - 1} earlier in the history</p>
      ) : null}
    </section>
  );
}

/** What it was read with, and whether that can be relied on: a check that failed looks back. */
function ReadWith({
  gauge,
  part,
}: {
  readonly gauge: NonNullable<FactView['gauge']>;
  readonly part: PartDetail;
}) {
  const when = gauge.checkMs === null ? '' : moment(gauge.checkMs, part.nowMs, part.zone);
  if (gauge.state === 'doubt')
    return (
      <p role="alert" className="border-l-4 border-bad pl-3">
        In doubt: {gauge.name} failed its check {when}. Measure again with one that passes.
      </p>
    );
  return (
    <p className="text-[13px] text-quiet">
      Read with {gauge.name}, {gauge.state === 'checked' ? `checked ${when}` : 'never checked here'}.
    </p>
  );
}

interface NewestProps {
  readonly part: PartDetail;
  readonly body: FilmReadBody;
  readonly judgement: FilmJudgement;
}

function Newest({ part, body, judgement }: NewestProps) {
  return (
    <>
      <FilmVerdict judgement={judgement} body={body} />
      {body.by === 'gauge' ? <Consequences part={part} body={body} judgement={judgement} /> : null}
    </>
  );
}

/** Too thin: an extra coat, while its window is open. Too thick: it cures slower, and takes from the fit. */
function Consequences({ part, body, judgement }: NewestProps) {
  const units = useUnits();
  const sheets = useSheets();
  const s = judgement.statistics;
  const last = part.facts.flatMap((f) => (f.kind === 'coated' && f.isStanding ? [f] : []))[0];
  const sheet = sheets.data?.sheets.find((x) => x.sheetId === last?.body.sheetId);
  if (!s || !sheet) return null;
  const missing = coatsMissing(s.meanUm, body.nominalUm, sheet.dftUm);
  const isThin =
    judgement.acceptance?.verdict === 'refused' && (missing > 0 || s.leastUm < 0.8 * body.nominalUm);
  const isThick = s.meanUm > 1.25 * body.nominalUm;
  const clearanceUm = part.survey?.clearanceUm ?? null;
  const { headline, partId } = part.card;
  const isOpen = ['open', 'closing', 'keyed'].includes(headline);
  return (
    <>
      {isThin ? (
        <p className="border-l-4 border-mark bg-ground px-3 py-1">
          {missing > 0
            ? `${units.film(body.nominalUm - s.meanUm)} short: ${missing} more ${missing === 1 ? 'coat' : 'coats'} of ${sheet.name}`
            : `Thin in places: another coat of ${sheet.name} there`}
          {isOpen
            ? ', while the window is open. '
            : `. The face is ${headline}: its next act comes first (see Why?). `}
          <Link className="underline" to={`/mix?part=${encodeURIComponent(partId)}`}>
            mix for it
          </Link>
        </p>
      ) : null}
      {isThick ? (
        <p className="border-l-4 border-mark bg-ground px-3 py-1">
          Thicker than specified by {units.film(s.meanUm - body.nominalUm)}: it dries slower than its sheet
          says, and the clock above now runs on the film as measured. Thick one-pack skins over and stays
          soft.
        </p>
      ) : null}
      {clearanceUm !== null ? <FitLine filmUm={s.meanUm} clearanceUm={clearanceUm} /> : null}
    </>
  );
}

function FitLine({ filmUm, clearanceUm }: { readonly filmUm: number; readonly clearanceUm: number }) {
  const units = useUnits();
  const faces = fitAfter(clearanceUm, facesLossUm(filmUm, filmUm));
  const bore = fitAfter(clearanceUm, boreLossUm(filmUm, filmUm));
  return (
    <p className={bore.isLost ? 'text-bad' : 'text-quiet'}>
      Of {units.film(clearanceUm)} clearance, painted on both parts: {units.film(faces.lostUm)} lost between
      faces, {units.film(bore.lostUm)} of a shaft in its bore{bore.isLost ? ': it will not go together' : ''}.
    </p>
  );
}
