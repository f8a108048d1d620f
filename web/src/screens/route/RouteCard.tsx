import {
  QUALITIES,
  stagesOf,
  stepsOfZone,
  type AdvisedRoute,
  type Family,
  type GivesUp,
  type LayerChoice,
  type Reason,
  type RouteStep,
  type Survey,
} from '@calvetta/core';
import type { Layer } from '@calvetta/contract';
import { BEST_WORDS, QUALITY_WORDS, STEP_WORDS, WAY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Section } from '../../drawings/Section.tsx';
import { SurfaceStrip } from '../../drawings/SurfaceStrip.tsx';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { LookFirst } from './LookFirst.tsx';
import { actsWords, layersWords } from './reasons.ts';
import { RuleLine } from './RuleLine.tsx';
import { useMoney, type Money } from '../../ui/money.ts';

interface Props {
  readonly route: AdvisedRoute;
  readonly survey: Survey;
  readonly rank: number;
  readonly families: ReadonlyMap<string, Family>;
  /** µm that fill a section's height: the same for all rivals, so that thickness compares across. */
  readonly fullUm: number;
  /** Rules that speak about every rival: they stand once, above. */
  readonly saidOnce: ReadonlySet<string>;
  readonly onUse: () => void;
  readonly onEdit: () => void;
  /** The same preparation under other layers, opened for a look. */
  readonly onTwin: (layers: readonly LayerChoice[]) => void;
  readonly isBusy: boolean;
}

export function layersOfRoute(steps: readonly RouteStep[], families: ReadonlyMap<string, Family>): Layer[] {
  return steps.flatMap((s) => {
    const family = s.familyId === undefined || s.kind === 'cavity' ? undefined : families.get(s.familyId);
    if (!family) return [];
    const layer: Layer = {
      name: family.sheet.name,
      colour: family.sheet.bandColour,
      dftUm: s.dftUm ?? family.sheet.dftUm,
      thinnestUm: null,
      isMeasured: false,
      isPlanned: false,
    };
    return Array.from({ length: s.coats }, () => layer);
  });
}

const nameOf = (route: AdvisedRoute, families: ReadonlyMap<string, Family>): string =>
  route.answer.kind === 'paint'
    ? layersWords(route.choice.layers, families)
    : `${route.answer.kind === 'refer' ? 'Refer: ' : ''}${WHAT_WORDS[route.answer.what] ?? route.answer.what}`;

const head = (route: AdvisedRoute, rank: number): string =>
  rank === 0 ? 'Advised' : route.answer.kind === 'paint' ? `Rival ${rank}` : 'Without paint';

/** One rival: how it is prepared, drawn from what is on the metal to the last coat; what it takes, is best at and gives up. */
export function RouteCard(props: Props) {
  const { route, rank, families, saidOnce, onUse, onEdit, onTwin, isBusy } = props;
  const money = useMoney();
  const said = (r: Reason): boolean => !saidOnce.has(r.ruleId);
  return (
    <article
      aria-label={nameOf(route, families)}
      data-route={route.routeId}
      data-way={route.way}
      className="flex min-w-0 flex-col gap-2 border border-line bg-panel p-3"
    >
      <p className="figure text-[13px] text-warn">
        {head(route, rank)} · {WAY_WORDS[route.way]}
        {route.bestAt.length > 0 ? (
          <span className="text-good"> · {route.bestAt.map((b) => BEST_WORDS[b]).join(', ')}</span>
        ) : null}
      </p>
      <h3 className="text-[17px] leading-tight">{nameOf(route, families)}</h3>
      <p className="text-[14px]">
        {route.choice.acts.length > 0 ? actsWords(route.choice.acts) : 'nothing is stripped'}
      </p>
      {route.givesUp ? <p className="text-[13px] text-quiet">{givesUpWords(route.givesUp, money)}</p> : null}
      {route.gates.map((g) => (
        <LookFirst key={g.field} gate={g} />
      ))}
      <Drawn {...props} />
      <p className="text-[13px]">
        {route.lifeYears
          ? `Expected ${route.lifeYears} years to first major maintenance.`
          : route.score === null
            ? (WHAT_WORDS[route.steps.findLast((s) => s.kind === 'care')?.what ?? ''] ?? '')
            : 'No published life: advised by analogy.'}
      </p>
      <Twins route={route} families={families} onTwin={onTwin} />
      <ul className="text-[14px]">
        {route.preferences.filter(said).map((p) => (
          <RuleLine key={p.ruleId} tone="for" reason={p} />
        ))}
        {route.warnings.filter(said).map((w) => (
          <RuleLine key={w.ruleId} tone="mind" reason={w} />
        ))}
      </ul>
      <Working route={route} families={families} />
      <div className="mt-auto flex justify-between gap-2 pt-2">
        <Button onClick={onEdit}>Edit steps</Button>
        <Button look={rank === 0 ? 'main' : 'plain'} disabled={isBusy} onClick={onUse}>
          Use this route
        </Button>
      </div>
    </article>
  );
}

/** From what is on the metal through its preparation to the last coat, and what it takes in figures. */
function Drawn({ route, survey, families, fullUm }: Pick<Props, 'route' | 'survey' | 'families' | 'fullUm'>) {
  const units = useUnits();
  const money = useMoney();
  const [ref, width] = useWidth();
  const f = route.figures;
  const own = stepsOfZone(survey, route.steps, null);
  const layers = layersOfRoute(own, families);
  // Of the outside: a zone of its own has a film of its own.
  const filmUm = layers.reduce((sum, l) => sum + l.dftUm, 0);
  const stages = stagesOf(survey, own);
  const first = stages[0]!;
  const last = stages[stages.length - 1]!;
  return (
    <>
      <div ref={ref} className="flex flex-col gap-2">
        {width > 0 && stages.length > 1 ? (
          <SurfaceStrip
            stages={stages.length > 4 ? [first, ...stages.slice(-3)] : stages}
            widthPx={width}
            label={`On the metal: ${first.standing.join(', ')}; before the first coat: ${last.standing.join(', ') || 'nothing'}`}
          />
        ) : null}
        {width > 0 && layers.length > 0 ? (
          <Section
            layers={layers}
            specifiedUm={0}
            profileUm={last.at.profileUm === null ? 4 : last.at.profileUm[0]}
            widthPx={width}
            heightPx={150}
            fullUm={fullUm}
            labelled={units.units}
            label={`${nameOf(route, families)}: ${filmUm} µm`}
          />
        ) : null}
      </div>
      <dl className="flex flex-wrap justify-between gap-x-3 gap-y-1">
        <Fig value={f.days.toFixed(0)} word="days" />
        <Fig value={`${f.hours.toFixed(1)} h`} word="hands" />
        <Fig value={money.about(f.cost)} word="paint, trips" />
        {filmUm > 0 ? <Fig value={units.film(filmUm)} word="film" /> : null}
      </dl>
    </>
  );
}

/** The same preparation under other layers that are as good. */
function Twins({ route, families, onTwin }: Pick<Props, 'route' | 'families' | 'onTwin'>) {
  if (route.twins.length === 0) return null;
  return (
    <div className="text-[13px] text-quiet">
      Or, as good:
      <ul>
        {route.twins.slice(0, 3).map((t) => (
          <li key={t.map((l) => l.familyId).join()}>
            <button
              type="button"
              className="text-left underline pointer-coarse:min-h-11"
              onClick={() => onTwin(t)}
            >
              {layersWords(t, families)}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** "+9 h, −17 days, 12 % less protection", against the advised one. */
export function givesUpWords(g: GivesUp, money: Money): string {
  const signed = (x: number, unit: string): string[] =>
    Math.abs(Math.round(x)) < 1 ? [] : [`${x > 0 ? '+' : '−'}${Math.abs(Math.round(x))}${unit}`];
  const protection = Math.round(100 * g.protection);
  const parts = [
    ...signed(g.hours, ' h'),
    ...signed(g.days, Math.abs(Math.round(g.days)) === 1 ? ' day' : ' days'),
    ...(Math.abs(g.cost) < 5 ? [] : [money.about(g.cost, true)]),
    ...(Math.abs(protection) < 2
      ? []
      : [`${Math.abs(protection)} % ${protection > 0 ? 'less' : 'more'} protection`]),
  ];
  return parts.length === 0
    ? 'Much the same as the advised one.'
    : `Against the advised: ${parts.join(', ')}.`;
}

function Fig({ value, word }: { readonly value: string; readonly word: string }) {
  return (
    <div>
      <dd className="figure text-[20px] leading-none whitespace-nowrap">{value}</dd>
      <dt className="text-[12px] text-quiet">{word}</dt>
    </div>
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
      {score ? (
        <ul className="my-1">
          {QUALITIES.map((q) => (
            <li key={q} className="grid grid-cols-[120px_1fr_34px] items-center gap-2">
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
    </details>
  );
}
