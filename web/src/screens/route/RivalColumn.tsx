import {
  learnedOf,
  levelsOf,
  lifeSpan,
  spreadOf,
  stagesOf,
  stepsOfZone,
  type AdvisedRoute,
  type Family,
  type Survey,
} from '@calvetta/core';
import { BEST_WORDS, WAY_WORDS } from '@calvetta/contract/words';
import { usePace } from '../../words/usePace.ts';
import { useLearned } from '../../api/queries.ts';
import { CoatStack } from '../../drawings/CoatStack.tsx';
import { SpanBar } from '../../drawings/SpanBar.tsx';
import { StageColumn, stageWords } from '../../drawings/StageColumn.tsx';
import { useMoney } from '../../ui/money.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { layersOfRoute } from './layers.ts';
import { againstWords, protectsWords, rankWords } from './rivalWords.ts';

/** What fills the bars and the height, the same for every rival. */
export interface RivalScale {
  readonly um: number;
  readonly days: number;
  readonly hours: number;
  readonly cost: number;
  readonly lifeYears: number;
}
/** The common scale: as tall as fits beside the rest, never so that a usual coat carries no words. */
const stackPx = (fullUm: number): number => Math.min(240, Math.max(120, fullUm * 0.62));

interface Props {
  readonly route: AdvisedRoute;
  readonly advised: AdvisedRoute;
  readonly survey: Survey;
  readonly families: ReadonlyMap<string, Family>;
  readonly rank: number;
  readonly scale: RivalScale;
}

/**
 * One rival as a cut. Coats stand on the metal line that all share; from there down hangs the preparation, to the metal as
 * found at its foot. Gains and losses stand at their level.
 */
export function RivalColumn({ route: r, advised, survey, families, rank, scale }: Props) {
  const units = useUnits();
  const money = useMoney();
  const own = stepsOfZone(survey, r.steps, null);
  const layers = layersOfRoute(own, families);
  const stages = stagesOf(survey, own);
  const pace = usePace(survey.substrate);
  const levels = levelsOf(survey, r.steps, families, pace);
  const base = levelsOf(survey, advised.steps, families, pace);
  const against = (level: 'preparation' | 'coats'): string =>
    rank === 0
      ? ''
      : againstWords(
          {
            hours: levels[level].hours - base[level].hours,
            days: levels[level].days - base[level].days,
            cost: levels[level].cost - base[level].cost,
          },
          money,
        );
  const filmUm = layers.reduce((sum, l) => sum + l.dftUm, 0);
  const tools = [...new Set(own.flatMap((s) => (s.familyId !== undefined && s.tool ? [s.tool] : [])))];
  return (
    <>
      <span className="figure self-start text-[13px] leading-tight">
        <b className="block text-warn">{rankWords(r, rank)}</b>
        <span className="block font-medium">{WAY_WORDS[r.way]}</span>
        {r.bestAt.map((b) => (
          <span key={b} className="block text-good">
            {BEST_WORDS[b]}
          </span>
        ))}
      </span>
      <Takes route={r} scale={scale} />
      <span className="self-end pt-1 text-[13px] leading-tight">
        <b className="figure font-semibold">{filmUm > 0 ? units.film(filmUm) : 'no coat'}</b>
        {tools.length > 0 ? ` by ${tools.join(' and ')}` : ''}
        <LearnedHere
          survey={survey}
          productId={own.find((s) => s.familyId !== undefined && s.coats > 0)?.familyId}
        />
        <Against words={[r.givesUp ? protectsWords(r.givesUp) : '', against('coats')]} />
      </span>
      <CoatStack layers={layers} fullUm={scale.um} heightPx={stackPx(scale.um)} film={units.film} />
      <span className="flex flex-col gap-1">
        {[...stages].reverse().map((s, i) => (
          <span key={i} className="block">
            <StageColumn stage={s} />
            <span className="figure block text-[12px] leading-tight">{stageWords(s)}</span>
          </span>
        ))}
        <span className="pt-1 text-[13px] leading-tight">
          <b className="figure font-semibold">{levels.preparation.hours.toFixed(1)} h</b> before the first
          coat
          <Against words={[against('preparation')]} />
        </span>
      </span>
    </>
  );
}

/** How its first coat has held on this metal in this shop: it informs, and warns where it failed twice and never held. */
function LearnedHere({
  survey,
  productId,
}: {
  readonly survey: Survey;
  readonly productId: string | undefined;
}) {
  const learned = useLearned().data?.learned ?? [];
  const here = productId === undefined ? null : learnedOf(learned, productId, survey.substrate);
  if (!here) return null;
  return (
    <span className={`block ${here.isWarning ? 'text-bad' : 'text-quiet'}`}>
      learned here: {here.held} of {here.held + here.failed} held on this metal
      {here.isWarning ? '. Try it on a hidden spot first' : ''}
    </span>
  );
}

/** A loss or a gain against the advised route, at the level where it comes about. */
const Against = ({ words }: { readonly words: readonly string[] }) => (
  <>
    {words.filter(Boolean).map((w) => (
      <span key={w} className="block text-quiet">
        {w}
      </span>
    ))}
  </>
);

/** Days, hands, money and life as bars on common scales. */
function Takes({ route, scale }: Pick<Props, 'route' | 'scale'>) {
  const money = useMoney();
  const f = route.figures;
  const life = lifeSpan(route);
  const bar = (word: string, value: number, text: string, full: number) => (
    <span className="block">
      <span className="flex items-baseline justify-between text-[13px]">
        <span className="text-quiet">{word}</span>
        <b className="figure text-[16px] font-semibold">{text}</b>
      </span>
      <SpanBar value={value} span={spreadOf(value)} full={full} />
    </span>
  );
  return (
    <span className="flex flex-col gap-1">
      {bar('days', f.days, f.days.toFixed(0), scale.days)}
      {bar('hands', f.hours, `${f.hours.toFixed(1)} h`, scale.hours)}
      {bar('money', f.cost, money.about(f.cost), scale.cost)}
      <span className="block">
        <span className="flex items-baseline justify-between text-[13px]">
          <span className="text-quiet">life</span>
          <b className="figure text-[14px] font-semibold">
            {route.lifeYears ? `${route.lifeYears} years` : 'not published'}
          </b>
        </span>
        <SpanBar
          value={life ? life[0] : 0}
          span={life ? [life[0], life[1] ?? scale.lifeYears] : [0, 0]}
          full={scale.lifeYears}
        />
      </span>
    </span>
  );
}
