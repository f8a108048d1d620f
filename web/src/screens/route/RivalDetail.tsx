import {
  levelOfRule,
  QUALITIES,
  stagesOf,
  stepsOfZone,
  type AdvisedRoute,
  type Family,
  type LayerChoice,
  type Level,
  type Reason,
  type Survey,
} from '@calvetta/core';
import { QUALITY_WORDS, STEP_WORDS, WAY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { stageWords, standingWords } from '../../drawings/StageColumn.tsx';
import { Button } from '../../ui/Button.tsx';
import { LookFirst } from './LookFirst.tsx';
import { actsWords, layersWords } from './reasons.ts';
import { rankWords, rivalName } from './rivalWords.ts';
import { RuleLine } from './RuleLine.tsx';

interface HeadProps {
  readonly route: AdvisedRoute;
  readonly rank: number;
  readonly families: ReadonlyMap<string, Family>;
  readonly isBusy: boolean;
  readonly onUse: () => void;
  readonly onEdit: () => void;
}

/** The chosen rival by name, with what can be done with it. */
export function RivalHead({ route: r, rank, families, isBusy, onUse, onEdit }: HeadProps) {
  return (
    <div className="flex flex-wrap items-start justify-between gap-3 p-3" data-chosen={r.routeId}>
      <div className="min-w-0 flex-1 basis-[320px]">
        <p className="figure text-[13px] text-warn">
          {rankWords(r, rank)} · {WAY_WORDS[r.way]}
        </p>
        <h3 className="text-[19px] leading-tight">{rivalName(r, families)}</h3>
        <p className="text-[14px]">
          {r.choice.acts.length > 0 ? actsWords(r.choice.acts) : 'nothing is stripped'}. {lifeWords(r)}
        </p>
      </div>
      <div className="flex gap-2">
        <Button onClick={onEdit}>Edit steps</Button>
        <Button look="main" disabled={isBusy} onClick={onUse}>
          Use this route
        </Button>
      </div>
    </div>
  );
}

interface Props {
  readonly route: AdvisedRoute;
  readonly families: ReadonlyMap<string, Family>;
  readonly survey: Survey;
  /** The same preparation under other layers, opened for a look. */
  readonly onTwin: (layers: readonly LayerChoice[]) => void;
}

/** What the chosen rival rests on, and what is said for and against it, each at its level. */
export function RivalDetail({ route: r, survey, families, onTwin }: Props) {
  return (
    <article aria-label={rivalName(r, families)} className="flex min-w-0 flex-col gap-2 p-3">
      {r.gates.map((g) => (
        <LookFirst key={g.field} gate={g} />
      ))}
      <div className="grid gap-x-6 md:grid-cols-2">
        <Spoken route={r} level="coats" title="On the coats" />
        <Spoken route={r} level="preparation" title="On the preparation" />
      </div>
      <p className="text-[13px] text-quiet">
        The thin line on a bar is how far its figure may be out: hands by a third either way, as they stand
        against figures of the trade; days and money by the same share, assumed; life from the least to the
        most of its published class.
      </p>
      <Stages route={r} survey={survey} />
      <Twins route={r} families={families} onTwin={onTwin} />
      <Working route={r} families={families} />
    </article>
  );
}

const lifeWords = (r: AdvisedRoute): string =>
  r.lifeYears
    ? `Expected ${r.lifeYears} years to first major maintenance.`
    : r.score === null
      ? (WHAT_WORDS[r.steps.findLast((s) => s.kind === 'care')?.what ?? ''] ?? '')
      : 'No published life: advised by analogy.';

function Spoken({
  route,
  level,
  title,
}: {
  readonly route: AdvisedRoute;
  readonly level: Level;
  readonly title: string;
}) {
  const here = (r: Reason): boolean => levelOfRule(r.ruleId) === level;
  const [mind, good] = [route.warnings.filter(here), route.preferences.filter(here)];
  if (mind.length + good.length === 0) return null;
  return (
    <section>
      <h4 className="figure text-[13px] text-quiet">{title}</h4>
      <ul className="text-[14px]">
        {mind.map((x) => (
          <RuleLine key={x.ruleId} tone="mind" reason={x} />
        ))}
        {good.map((x) => (
          <RuleLine key={x.ruleId} tone="for" reason={x} />
        ))}
      </ul>
    </section>
  );
}

/** What the drawing shows, in words: what stands on the metal as found and after each act, until the first coat meets it. */
function Stages({ route, survey }: Pick<Props, 'route' | 'survey'>) {
  const stages = stagesOf(survey, stepsOfZone(survey, route.steps, null));
  return (
    <p className="text-[14px]">
      <span className="figure text-[13px] text-quiet">What stands on the metal </span>
      {stages.map((s, i) => (
        <span key={i}>
          {i > 0 ? ' → ' : ''}
          <b className="font-semibold">{stageWords(s)}</b>: {standingWords(s)}
        </span>
      ))}
      .
    </p>
  );
}

/** The same preparation under other layers that are as good. */
function Twins({ route, families, onTwin }: Pick<Props, 'route' | 'families' | 'onTwin'>) {
  if (route.twins.length === 0) return null;
  return (
    <p className="text-[14px] text-quiet">
      Or, as good:{' '}
      {route.twins.slice(0, 4).map((t, i) => (
        <span key={t.map((l) => l.familyId).join()}>
          {i > 0 ? ' · ' : ''}
          <button
            type="button"
            className="text-left underline pointer-coarse:min-h-11"
            onClick={() => onTwin(t)}
          >
            {layersWords(t, families)}
          </button>
        </span>
      ))}
    </p>
  );
}

/** How the score came about, each quality as a bar of its own, and every step. */
function Working({ route, families }: Pick<Props, 'route' | 'families'>) {
  const { score } = route;
  return (
    <details className="text-[13px]">
      <summary className="cursor-pointer text-quiet">
        {score ? `score ${(100 * score.total).toFixed(0)} of 100: its working, and ` : ''}
        {route.steps.length} steps
      </summary>
      <div className="grid gap-x-6 md:grid-cols-2">
        {score ? (
          <ul className="my-1">
            {QUALITIES.map((q) => (
              <li key={q} className="grid grid-cols-[160px_1fr_34px] items-center gap-2">
                {QUALITY_WORDS[q]}
                <span className="h-1.5 bg-line">
                  <span className="block h-full bg-chosen" style={{ width: `${100 * score.parts[q]}%` }} />
                </span>
                <span className="figure text-right">{(100 * score.parts[q]).toFixed(0)}</span>
              </li>
            ))}
          </ul>
        ) : null}
        <ol className="list-decimal pl-5">
          {route.steps.map((s) => (
            <li key={s.stepId}>
              {s.familyId ? families.get(s.familyId)?.sheet.name : STEP_WORDS[s.kind]}{' '}
              {s.what ? `· ${WHAT_WORDS[s.what] ?? s.what}` : ''}
              <span className="text-quiet"> {s.hours >= 0.05 ? `${s.hours.toFixed(1)} h` : ''}</span>
            </li>
          ))}
        </ol>
      </div>
    </details>
  );
}
