import { QUALITIES, type AdvisedRoute, type Family } from '@calvetta/core';
import type { Layer } from '@calvetta/contract';
import { QUALITY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Section } from '../../drawings/Section.tsx';
import { Button } from '../../ui/Button.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { RuleLine } from './RuleLine.tsx';

interface Props {
  readonly route: AdvisedRoute;
  readonly rank: number;
  readonly families: ReadonlyMap<string, Family>;
  /** µm that fill a section's height: the same for all rivals, so that thickness compares across. */
  readonly fullUm: number;
  readonly isScoped: boolean;
  readonly onUse: () => void;
  readonly onEdit: () => void;
  readonly isBusy: boolean;
}

export function layersOfRoute(
  route: Pick<AdvisedRoute, 'steps'>,
  families: ReadonlyMap<string, Family>,
): Layer[] {
  return route.steps.flatMap((s) => {
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
  route.choice.layers
    .map((l) => `${families.get(l.familyId)?.sheet.name ?? l.familyId}${l.coats > 1 ? ` ×${l.coats}` : ''}`)
    .join(', ');
const prepOf = (route: AdvisedRoute): string =>
  [
    ...route.choice.methods.map((m) => WHAT_WORDS[m] ?? m),
    ...(route.choice.pretreat ? [WHAT_WORDS[route.choice.pretreat]?.split(',')[0] ?? ''] : []),
  ].join(', ');

/** One rival: what it is, drawn to the common scale, what it takes, why and what to mind. */
export function RouteCard({ route, rank, families, fullUm, isScoped, onUse, onEdit, isBusy }: Props) {
  const units = useUnits();
  const [ref, width] = useWidth();
  const f = route.figures;
  return (
    <article
      aria-label={nameOf(route, families)}
      data-route={route.routeId}
      className={`flex min-w-0 flex-col gap-2 border bg-panel p-3 ${rank === 0 ? 'border-2 border-slate' : 'border-line'}`}
    >
      <p className="figure text-[13px] text-warn">{rank === 0 ? 'Advised' : `Rival ${rank}`}</p>
      <h3 className="text-[17px] leading-tight">{nameOf(route, families)}</h3>
      <p className="text-[13px] text-quiet">{prepOf(route)}</p>
      <p className={`text-[13px] ${route.lifeYears ? '' : 'text-bad'}`}>
        {route.lifeYears
          ? `expected ${route.lifeYears} years to first major maintenance`
          : isScoped
            ? 'no published life for this system'
            : 'no published life: advised by analogy'}
      </p>
      <div ref={ref}>
        {width > 0 ? (
          <Section
            layers={layersOfRoute(route, families)}
            specifiedUm={0}
            profileUm={route.choice.methods.includes('grit-blast') ? 40 : 10}
            widthPx={width}
            heightPx={190}
            fullUm={fullUm}
            labelled={units.units}
            label={`${nameOf(route, families)}: ${f.filmUm} µm`}
          />
        ) : null}
      </div>
      <dl className="flex flex-wrap justify-between gap-x-3 gap-y-1">
        <Fig value={f.days.toFixed(0)} word="days" />
        <Fig value={`${f.hours.toFixed(1)} h`} word="hands" />
        <Fig value={`£${f.cost.toFixed(0)}`} word="paint, trips" />
        <Fig value={units.film(f.filmUm)} word="film" />
      </dl>
      <p className="text-[12px] text-quiet">
        Days, hands and cost: estimates by common practice, about a third either way.
      </p>
      <ul className="text-[14px]">
        {route.preferences.map((p) => (
          <RuleLine key={p.ruleId} tone="for" reason={p} />
        ))}
        {route.warnings.map((w) => (
          <RuleLine key={w.ruleId} tone="mind" reason={w} />
        ))}
      </ul>
      <Working route={route} />
      <div className="mt-auto flex justify-between gap-2 pt-2">
        <Button onClick={onEdit}>Edit steps</Button>
        <Button look={rank === 0 ? 'main' : 'plain'} disabled={isBusy} onClick={onUse}>
          Use this route
        </Button>
      </div>
    </article>
  );
}

function Fig({ value, word }: { readonly value: string; readonly word: string }) {
  return (
    <div>
      <dd className="figure text-[20px] leading-none whitespace-nowrap">{value}</dd>
      <dt className="text-[12px] text-quiet">{word}</dt>
    </div>
  );
}

/** How the score came about: each quality as a bar of its own. */
function Working({ route }: { readonly route: AdvisedRoute }) {
  return (
    <details className="text-[13px]">
      <summary className="cursor-pointer text-quiet">
        score {(100 * route.score.total).toFixed(0)} of 100: its working, and {route.steps.length} steps
      </summary>
      <ul className="my-1">
        {QUALITIES.map((q) => (
          <li key={q} className="grid grid-cols-[120px_1fr_34px] items-center gap-2">
            {QUALITY_WORDS[q]}
            <span className="h-1.5 bg-line">
              <span className="block h-full bg-slate" style={{ width: `${100 * route.score.parts[q]}%` }} />
            </span>
            <span className="figure text-right">{(100 * route.score.parts[q]).toFixed(0)}</span>
          </li>
        ))}
      </ul>
      <ol className="list-decimal pl-5">
        {route.steps.map((s) => (
          <li key={s.stepId}>
            {s.kind.replaceAll('-', ' ')} {s.what ? `· ${WHAT_WORDS[s.what] ?? s.what}` : (s.familyId ?? '')}
            <span className="text-quiet"> {s.hours >= 0.05 ? `${s.hours.toFixed(1)} h` : ''}</span>
          </li>
        ))}
      </ol>
    </details>
  );
}
