import type { AdvisedRoute, Family, Moves } from '@calvetta/core';
import { WAY_WORDS, WHAT_WORDS } from '@calvetta/contract/words';
import { Section } from '../../drawings/Section.tsx';
import { layersOfRoute } from '../route/layers.ts';
import { actsWords, layersWords } from '../route/reasons.ts';

interface Props {
  readonly moves: Moves;
  readonly families: ReadonlyMap<string, Family>;
}

/** What an answer opened and closed: ways and families that came and went, and the route that leads now, drawn. */
export function MovesHere({ moves: m, families }: Props) {
  const name = (id: string): string => families.get(id)?.sheet.name ?? id;
  const came = [...m.ways.came.map((w) => WAY_WORDS[w]), ...m.families.came.map(name)];
  const went = [...m.ways.went.map((w) => WAY_WORDS[w]), ...m.families.went.map(name)];
  if (came.length + went.length === 0 && m.lead === null)
    return <p className="text-quiet">It moves nothing: the same routes hold, in the same order.</p>;
  return (
    <div role="status" className="flex flex-col gap-1">
      {came.length > 0 ? (
        <p>
          <b className="text-good">Opened:</b> {few(came)}
        </p>
      ) : null}
      {went.length > 0 ? (
        <p>
          <b className="text-bad">Closed:</b> {few(went)}
        </p>
      ) : null}
      {m.lead ? (
        <div className="flex items-center gap-2">
          {m.lead.from ? (
            <>
              <Small route={m.lead.from} families={families} />
              <span aria-hidden="true">→</span>
            </>
          ) : null}
          <Small route={m.lead.to} families={families} />
          <span className="min-w-0 text-[13px]">
            Leads now: {WAY_WORDS[m.lead.to.way]},{' '}
            {m.lead.to.answer.kind === 'paint'
              ? `${actsWords(m.lead.to.choice.acts)}; ${layersWords(m.lead.to.choice.layers, families)}`
              : (WHAT_WORDS[m.lead.to.answer.what] ?? m.lead.to.answer.what)}
          </span>
        </div>
      ) : null}
    </div>
  );
}

/** The first few by name, the rest by number. */
const few = (names: readonly string[]): string =>
  names.length <= 5 ? names.join(', ') : `${names.slice(0, 4).join(', ')} and ${names.length - 4} more`;

const Small = ({
  route,
  families,
}: {
  readonly route: AdvisedRoute;
  readonly families: Props['families'];
}) => (
  <span className="shrink-0">
    <Section
      layers={layersOfRoute(route.steps, families)}
      specifiedUm={0}
      profileUm={8}
      widthPx={26}
      heightPx={34}
      fullUm={320}
      label={layersWords(route.choice.layers, families) || 'no paint'}
    />
  </span>
);
