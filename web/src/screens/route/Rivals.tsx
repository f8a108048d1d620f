import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import {
  stepsOfZone,
  type Advice,
  type AdvisedRoute,
  type Family,
  type LayerChoice,
  type Survey,
} from '@calvetta/core';
import { layersOfRoute } from './layers.ts';
import { RivalColumn, type RivalScale } from './RivalColumn.tsx';
import { RivalDetail, RivalHead } from './RivalDetail.tsx';
import { rankWords, rivalName } from './rivalWords.ts';

interface Props {
  readonly advice: Advice;
  readonly survey: Survey;
  readonly families: ReadonlyMap<string, Family>;
  readonly isBusy: boolean;
  readonly onUse: (r: AdvisedRoute) => void;
  readonly onEdit: (r: AdvisedRoute) => void;
  readonly onTwin: (r: AdvisedRoute, layers: readonly LayerChoice[]) => void;
}

/** Bars carry their spread: the longest ends inside them. */
const ROOM = 1.4;
const OPEN_LIFE_YEARS = 35;

function scaleOf({ advice, survey, families }: Pick<Props, 'advice' | 'survey' | 'families'>): RivalScale {
  const most = (of: (r: AdvisedRoute) => number, least: number): number =>
    Math.max(least, ...advice.routes.map(of));
  return {
    um: most(
      (r) => layersOfRoute(stepsOfZone(survey, r.steps, null), families).reduce((sum, l) => sum + l.dftUm, 0),
      160,
    ),
    days: most((r) => r.figures.days, 7) * ROOM,
    hours: most((r) => r.figures.hours, 1) * ROOM,
    cost: most((r) => r.figures.cost, 10) * ROOM,
    lifeYears: OPEN_LIFE_YEARS,
  };
}

/**
 * The routes that hold as cuts side by side, on one scale: touch one to read it. Nothing frames the advised one; what each
 * gains and loses stands at the level where it comes about.
 */
export function Rivals(props: Props) {
  const { advice, survey, families, isBusy, onUse, onEdit, onTwin } = props;
  const [chosenId, setChosen] = useState<string | null>(null);
  const at = Math.max(
    0,
    advice.routes.findIndex((r) => r.routeId === chosenId),
  );
  const advised = advice.routes[0]!;
  const chosen = advice.routes[at]!;
  const scale = scaleOf(props);
  return (
    <section aria-label="Routes that hold" className="min-w-0 border border-line bg-panel">
      <RivalHead
        route={chosen}
        rank={at}
        families={families}
        isBusy={isBusy}
        onUse={() => onUse(chosen)}
        onEdit={() => onEdit(chosen)}
      />
      <ToggleGroup.Root
        type="single"
        aria-label="Routes side by side"
        value={chosen.routeId}
        onValueChange={(v) => (v === '' ? undefined : setChosen(v))}
        className="grid overflow-x-auto border-y border-line"
        style={{
          gridTemplateColumns: `repeat(${advice.routes.length}, minmax(136px, 240px))`,
          gridTemplateRows: 'repeat(5, auto)',
        }}
      >
        {advice.routes.map((r, i) => (
          <ToggleGroup.Item
            key={r.routeId}
            value={r.routeId}
            data-route={r.routeId}
            data-way={r.way}
            aria-label={`${rankWords(r, i)}: ${rivalName(r, families)}`}
            className="row-span-5 grid min-w-0 grid-cols-[minmax(0,1fr)] grid-rows-subgrid gap-y-2 border-t-4 border-l border-line border-t-transparent px-2 py-2 text-left first:border-l-0 hover:bg-ground data-[state=on]:border-t-chosen"
          >
            <RivalColumn
              route={r}
              advised={advised}
              survey={survey}
              families={families}
              rank={i}
              scale={scale}
            />
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <RivalDetail
        route={chosen}
        survey={survey}
        families={families}
        onTwin={(layers) => onTwin(chosen, layers)}
      />
    </section>
  );
}
