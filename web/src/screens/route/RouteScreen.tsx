import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import {
  familiesOf,
  meansFor,
  routeWith,
  stepsOn,
  type Advice,
  type AskedField,
  type Family,
  type Pace,
  type RouteStep,
  type ShopMeans,
  type ProductSheet,
  type Survey,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { SCHOOL_WORDS, SUBSTRATE_WORDS, WAY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { usePart, useSheets, useShop } from '../../api/queries.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { AlsoFor } from './AlsoFor.tsx';
import { EditSteps } from './editor/EditSteps.tsx';
import { KeepSurvey } from '../survey/KeepSurvey.tsx';
import { actsWords, layersWords } from './reasons.ts';
import { RefusedStrip } from './RefusedStrip.tsx';
import { Rivals } from './Rivals.tsx';
import { SurveyPanel } from '../survey/SurveyPanel.tsx';
import { OwnPace } from './OwnPace.tsx';
import { useSurvey } from '../survey/useSurvey.ts';
import { useWorth } from '../survey/useWorth.ts';
import { useSetRoute, type Chosen } from './useSetRoute.ts';
import { Templates } from '../survey/Templates.tsx';
import { Heading } from '../../ui/Heading.tsx';

/** Survey a part and choose its route: rivals side by side, what was refused and why, all judged here as answers change. */
export default function RouteScreen() {
  const { partId = '' } = useParams();
  const part = usePart(partId);
  const shop = useShop();
  const sheets = useSheets();
  if (!part.data || !shop.data || !sheets.data)
    return <Waiting isPage error={part.error ?? shop.error ?? sheets.error} what="part" />;
  return <Chooser key={partId} part={part.data} means={shop.data.means} sheets={sheets.data.sheets} />;
}

interface ChooserProps {
  readonly part: PartDetail;
  readonly means: ShopMeans;
  readonly sheets: readonly ProductSheet[];
}

function Chooser({ part, means, sheets }: ChooserProps) {
  const families = useMemo(() => familiesOf(sheets), [sheets]);
  const surveying = useSurvey(part, means, families);
  const { survey, advice, said, doubts, answer, undo, pace } = surveying;
  const worth = useWorth(survey, means, sheets, pace);
  const [editing, setEditing] = useState<readonly RouteStep[] | null>(null);
  const [asked, setAsked] = useState<AskedField | null>(null);
  const [also, setAlso] = useState<readonly string[]>([]);
  const { use, keep, isBusy } = useSetRoute({ part, survey, means, families, advice, also });
  return (
    <>
      <Head part={part} means={meansFor(survey, means)} isOwn={Object.keys(survey.practice).length > 0} />
      <div className="grid items-start gap-4 p-4 lg:grid-cols-[384px_minmax(0,1fr)]">
        <SurveyPanel
          survey={survey}
          partName={part.card.name}
          partMetal={part.card.substrate}
          advice={advice}
          families={families}
          doubts={doubts}
          house={means.schools}
          worth={worth}
          said={said}
          asked={asked}
          onAsked={() => setAsked(null)}
          onAsk={setAsked}
          proposed={surveying.proposed}
          onAnswer={answer}
          onUndo={undo}
        >
          <KeepSurvey surveying={surveying} isBusy={isBusy} also={also.length} onKeep={keep} />
          <Templates
            survey={survey}
            onUse={(from, steps) => {
              answer(from);
              if (steps) setEditing(stepsOn({ survey: from, means, families }, steps));
            }}
          />
        </SurveyPanel>
        <div className="flex min-w-0 flex-col gap-4">
          <Summary advice={advice} survey={survey} pace={pace} />
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
          <RefusedStrip
            advice={advice}
            survey={survey}
            means={meansFor(survey, means)}
            families={families}
            onAsk={setAsked}
            onAnswer={answer}
            onLook={(choice) => {
              const { steps } = advice.routes[0]!;
              setEditing(routeWith({ survey, means, families }, { choice, steps, gates: [] }));
            }}
          />
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
          onSet={(steps, reason) => use(chosenByHand(steps, reason))}
        />
      ) : null}
    </>
  );
}

/** Steps set by hand: edited, or against a rule with its reason. */
const chosenByHand = (steps: readonly RouteStep[], reason: string | null): Chosen => ({
  routeId: 'edited',
  steps,
  origin: reason === null ? 'edited' : 'overridden',
  reason,
});

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
        <Heading
          title={['Route', part.card.name, part.card.machineName]}
          className="text-[24px] leading-tight"
        >
          Choose a route
        </Heading>
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

/** How many hold, and what they rest on that nobody has looked at. */
interface SummaryProps {
  readonly advice: Advice;
  readonly survey: Survey;
  readonly pace: Pace;
}
function Summary({ advice, survey, pace }: SummaryProps) {
  const n = advice.refused.filter((r) => r.about === 'family' && r.reasons.length > 0).length;
  const usual = survey.usual.length;
  return (
    <>
      <p role="status" className="text-[14px]">
        {advice.routes.every((r) => r.answer.kind === 'refer')
          ? 'No route holds yet'
          : `${advice.routes.length} routes hold, best first · ${[...new Set(advice.routes.map((r) => WAY_WORDS[r.way]))].join(', ')}`}{' '}
        · {n} families refused
        {usual > 0 ? (
          <span className="text-warn">
            {' '}
            · rests on {usual} {usual === 1 ? 'answer' : 'answers'} that {usual === 1 ? 'is' : 'are'} only
            usual: look
          </span>
        ) : null}
      </p>
      <OwnPace pace={pace} />
    </>
  );
}

/** What was chosen for the zones of their own: the same in every rival. */
function ZoneAnswers({
  advice,
  families,
}: {
  readonly advice: Advice;
  readonly families: ReadonlyMap<string, Family>;
}) {
  const units = useUnits();
  if (advice.zones.length === 0) return null;
  return (
    <section aria-label="Zones" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">Zones of their own</h2>
      <ul className="text-[14px]">
        {advice.zones.map((z) => (
          <li key={z.zone.zoneId} data-zone={z.zone.zoneId} className="border-t border-line/60 py-1">
            <b className="font-semibold">{z.zone.name}</b>{' '}
            <span className="text-quiet">
              {z.zone.heatC === null ? '' : `to ${units.temp(z.zone.heatC, 0)} · `}
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
