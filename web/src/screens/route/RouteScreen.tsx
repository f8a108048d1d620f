import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  advise,
  blankSurvey,
  familiesOf,
  meansFor,
  MATERIALS,
  routeWith,
  stepsOfZone,
  surveyDoubts,
  type Advice,
  type AdvisedRoute,
  type Family,
  type LayerChoice,
  type Reason,
  type RouteStep,
  type ShopMeans,
  type Survey,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SCHOOL_WORDS, SUBSTRATE_WORDS, WAY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { usePart, useSheets, useShop } from '../../api/queries.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { AlsoFor } from './AlsoFor.tsx';
import { EditSteps } from './EditSteps.tsx';
import { actsWords, changed, layersWords } from './reasons.ts';
import { RuleLine } from './RuleLine.tsx';
import { RefusedStrip } from './RefusedStrip.tsx';
import { layersOfRoute, RouteCard } from './RouteCard.tsx';
import { SurveyPanel } from './SurveyPanel.tsx';
import { useSetRoute } from './useSetRoute.ts';
import { Templates } from './Templates.tsx';

/** Survey a part and choose its route: rivals side by side, what was refused and why, all judged here as answers change. */
export default function RouteScreen() {
  const { partId = '' } = useParams();
  const part = usePart(partId);
  const shop = useShop();
  const sheets = useSheets();
  if (!part.data || !shop.data || !sheets.data)
    return <Waiting error={part.error ?? shop.error ?? sheets.error} what="part" />;
  return (
    <Chooser
      key={partId}
      part={part.data}
      means={shop.data.means}
      families={familiesOf(sheets.data.sheets)}
    />
  );
}

/** What the part's own record already answers. */
function firstSurvey(part: PartDetail): Survey {
  if (part.survey) return part.survey;
  return {
    ...blankSurvey(part.card.substrate),
    thicknessMm: part.thicknessMm,
    massKg: part.massKg,
    areaM2: part.card.areaM2,
    colourGroup: part.colourGroup,
    isPair: part.pairPartId !== null,
  };
}

interface ChooserProps {
  readonly part: PartDetail;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
}

function Chooser({ part, means, families }: ChooserProps) {
  const [survey, setSurvey] = useState(() => firstSurvey(part));
  const [change, setChange] = useState<{ readonly came: string[]; readonly went: string[] } | null>(null);
  const [editing, setEditing] = useState<readonly RouteStep[] | null>(null);
  const [also, setAlso] = useState<readonly string[]>([]);
  const advice = useMemo(
    () => advise({ survey, means, families, branches: true }),
    [survey, means, families],
  );
  const doubts = surveyDoubts(survey, MATERIALS[survey.substrate].densityKgM3);
  const answer = (patch: Partial<Survey>): void => {
    const next = { ...survey, ...patch };
    setChange(changed(advice, advise({ survey: next, means, families })));
    setSurvey(next);
  };
  const { use, isBusy } = useSetRoute({ part, survey, means, families, advice, also });
  return (
    <>
      <Head part={part} means={meansFor(survey, means)} isOwn={Object.keys(survey.practice).length > 0} />
      <div className="grid items-start gap-4 p-4 lg:grid-cols-[320px_minmax(0,1fr)]">
        <SurveyPanel survey={survey} advice={advice} doubts={doubts} house={means.schools} onAnswer={answer}>
          <Templates survey={survey} onUse={answer} />
        </SurveyPanel>
        <div className="flex min-w-0 flex-col gap-4">
          <Summary advice={advice} change={change} families={families} />
          <ZoneAnswers advice={advice} families={families} />
          <Rivals
            advice={advice}
            survey={survey}
            families={families}
            isBusy={isBusy || doubts.length > 0}
            onUse={(r) => use({ routeId: r.routeId, steps: r.steps, origin: 'advised', reason: null })}
            onEdit={(r) => setEditing(r.steps)}
            onTwin={(r, layers) => setEditing(routeWith({ survey, means, families }, r, layers))}
          />
          <AlsoFor part={part} chosen={also} onChoose={setAlso} />
          <RefusedStrip advice={advice} survey={survey} means={meansFor(survey, means)} families={families} />
        </div>
      </div>
      {editing ? (
        <EditSteps
          survey={survey}
          means={means}
          families={families}
          steps={editing}
          isBusy={isBusy}
          onClose={() => setEditing(null)}
          onSet={(steps, reason) =>
            use({ routeId: 'edited', steps, origin: reason === null ? 'edited' : 'overridden', reason })
          }
        />
      ) : null}
    </>
  );
}

interface HeadProps {
  readonly part: PartDetail;
  readonly means: ShopMeans;
  /** Something is done otherwise here than the house does it. */
  readonly isOwn: boolean;
}

function Head({ part, means, isOwn }: HeadProps) {
  const units = useUnits();
  const practice = (['etch', 'oldPaint', 'tool'] as const)
    .map((k) => (SCHOOL_WORDS[k].options as Readonly<Record<string, string>>)[means.schools[k]])
    .join(' · ');
  return (
    <header className="flex flex-wrap items-center justify-between gap-2 border-b border-line bg-panel px-4 py-2">
      <div>
        <p className="text-[14px]">
          <Link className="underline" to={`/parts/${encodeURIComponent(part.card.partId)}`}>
            {part.card.name}
          </Link>{' '}
          <span className="text-quiet">
            · {part.card.machineName} · {SUBSTRATE_WORDS[part.card.substrate]} ·{' '}
            {units.area(part.card.areaM2)}
          </span>
        </p>
        <h1 className="text-[24px] leading-tight">Choose a route</h1>
      </div>
      <p className="text-[13px] text-quiet">
        {isOwn ? 'Done here' : 'House practice'}: {practice} ·{' '}
        <Link className="underline" to="/settings#practice">
          change
        </Link>
      </p>
    </header>
  );
}

/** The first few by name, the rest by number. */
const few = (names: readonly string[]): string =>
  names.length <= 4 ? names.join(', ') : `${names.slice(0, 3).join(', ')} and ${names.length - 3} more`;

interface SummaryProps {
  readonly advice: Advice;
  readonly change: { readonly came: string[]; readonly went: string[] } | null;
  readonly families: ReadonlyMap<string, Family>;
}

/** How many hold, and what the last answer changed. */
function Summary({ advice, change, families }: SummaryProps) {
  const name = (id: string): string => families.get(id)?.sheet.name ?? id;
  const n = advice.refused.filter((r) => r.about === 'family' && r.reasons.length > 0).length;
  return (
    <p role="status" className="text-[14px]">
      {advice.routes.every((r) => r.answer.kind === 'refer')
        ? 'No route holds yet'
        : `${advice.routes.length} routes hold, best first · ${[...new Set(advice.routes.map((r) => WAY_WORDS[r.way]))].join(', ')}`}{' '}
      · {n} families refused
      {change && change.came.length > 0 ? (
        <span className="text-good"> · that answer opened {few(change.came.map(name))}</span>
      ) : null}
      {change && change.went.length > 0 ? (
        <span className="text-bad"> · that answer closed {few(change.went.map(name))}</span>
      ) : null}
      {change && change.came.length + change.went.length === 0 ? (
        <span className="text-quiet"> · that answer changed no family</span>
      ) : null}
    </p>
  );
}

interface RivalsProps {
  readonly advice: Advice;
  readonly survey: Survey;
  readonly families: ReadonlyMap<string, Family>;
  readonly isBusy: boolean;
  readonly onUse: (r: AdvisedRoute) => void;
  readonly onEdit: (r: AdvisedRoute) => void;
  readonly onTwin: (r: AdvisedRoute, layers: readonly LayerChoice[]) => void;
}

function Rivals({ advice, survey, families, isBusy, onUse, onEdit, onTwin }: RivalsProps) {
  const fullUm = Math.max(
    100,
    ...advice.routes.map((r) =>
      layersOfRoute(stepsOfZone(survey, r.steps, null), families).reduce((sum, l) => sum + l.dftUm, 0),
    ),
  );
  const once = saidByAll(advice);
  return (
    <>
      {once.length > 0 ? (
        <details className="border border-line bg-panel px-3 py-2" open>
          <summary className="figure cursor-pointer text-[15px]">For all of them</summary>
          <ul className="gap-x-6 text-[14px] md:columns-2">
            {once.map(({ reason, tone }) => (
              <RuleLine key={reason.ruleId} tone={tone} reason={reason} />
            ))}
          </ul>
        </details>
      ) : null}
      <div className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {advice.routes.map((r, i) => (
          <RouteCard
            key={r.routeId}
            route={r}
            survey={survey}
            rank={i}
            families={families}
            fullUm={fullUm}
            saidOnce={new Set(once.map((x) => x.reason.ruleId))}
            isBusy={isBusy}
            onUse={() => onUse(r)}
            onEdit={() => onEdit(r)}
            onTwin={(layers) => onTwin(r, layers)}
          />
        ))}
      </div>
    </>
  );
}

/** What is said of every painted rival is said once, above them. */
function saidByAll(advice: Advice): { readonly reason: Reason; readonly tone: 'for' | 'mind' }[] {
  const painted = advice.routes.filter((r) => r.answer.kind === 'paint');
  const [first, ...rest] = painted;
  if (!first || rest.length === 0) return [];
  const common = (of: (r: AdvisedRoute) => readonly Reason[]): readonly Reason[] =>
    of(first).filter((x) => rest.every((r) => of(r).some((y) => y.ruleId === x.ruleId)));
  return [
    ...common((r) => r.warnings).map((reason) => ({ reason, tone: 'mind' as const })),
    ...common((r) => r.preferences).map((reason) => ({ reason, tone: 'for' as const })),
  ];
}

/** What was chosen for the zones of their own: the same in every rival. */
function ZoneAnswers({ advice, families }: Pick<RivalsProps, 'advice' | 'families'>) {
  if (advice.zones.length === 0) return null;
  return (
    <section aria-label="Zones" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Zones of their own</h2>
      <ul className="text-[14px]">
        {advice.zones.map((z) => (
          <li key={z.zone.zoneId} data-zone={z.zone.zoneId} className="border-t border-line/60 py-1">
            <b className="font-semibold">{z.zone.name}</b>{' '}
            <span className="text-quiet">
              {z.zone.heatC === null ? '' : `to ${z.zone.heatC} °C · `}
              {WAY_WORDS[z.way]}
            </span>
            <br />
            {z.answer.kind === 'paint'
              ? `${actsWords(z.choice.acts)}; ${layersWords(z.choice.layers, families)}`
              : (WHAT_WORDS[z.answer.what] ?? z.answer.what)}
          </li>
        ))}
      </ul>
    </section>
  );
}
