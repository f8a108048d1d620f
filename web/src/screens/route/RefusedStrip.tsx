import { Link } from 'react-router';
import type { Advice, AskedField, Choice, Family, Reason, ShopMeans, Survey } from '@calvetta/core';
import { QUALITY_WORDS, WAY_WORDS } from '@calvetta/contract/words';
import { Section } from '../../drawings/Section.tsx';
import { Word } from '../../ui/Word.tsx';
import { StopShort, type StopAt } from '../../drawings/StopShort.tsx';
import { layersOfChoice } from './layers.ts';
import {
  actsWords,
  asked,
  layersWords,
  refusedName,
  remedyWords,
  wouldHold,
  type Mending,
} from './reasons.ts';
import { RuleLine } from './RuleLine.tsx';

interface Props {
  readonly advice: Advice;
  readonly survey: Survey;
  readonly means: ShopMeans;
  readonly families: ReadonlyMap<string, Family>;
  /** Opens a question of the sheet. */
  readonly onAsk: (field: AskedField) => void;
  readonly onAnswer: (patch: Partial<Survey>) => void;
  /** Opens a route that holds but lost its place. */
  readonly onLook: (choice: Choice) => void;
}

/** Where a rule stops a coat, by its topic. */
const STOPS: Readonly<Record<string, StopAt>> = {
  strip: 'metal',
  prep: 'metal',
  surface: 'metal',
  metal: 'metal',
  etch: 'metal',
  zinc: 'metal',
  fit: 'metal',
  over: 'over',
};
const STOP_WORDS: Readonly<Record<StopAt, string>> = {
  metal: 'stops on the metal',
  over: 'stops over the coat under it',
  life: 'stops at what it has to stand',
};
/** µm that fill the height of a small cut. */
const UNSHOWN_UM = 320;
const stopOf = (ruleId: string): StopAt => STOPS[ruleId.split('.')[0] ?? ''] ?? 'life';

/** What is in no route, drawn to where it stops, by which rule, and the act that would mend it. Methods are folded away. */
export function RefusedStrip(props: Props) {
  const { advice, survey, families } = props;
  const list = (about: 'family' | 'method') =>
    advice.refused.filter((r) => r.about === about && r.reasons.length > 0);
  const waiting = advice.refused.filter((r) => r.about === 'family' && r.reasons.length === 0);
  return (
    <section aria-label="Refused" className="border border-line bg-panel p-3">
      <h2 className="text-[18px]">
        These <Word term="stops-short">stop short</Word>
      </h2>
      {advice.wouldHelp.length > 0 ? (
        <p className="mt-1 border-l-4 border-mark bg-ground px-2 py-1">
          What would open a route:{' '}
          {advice.wouldHelp
            .slice(0, 5)
            .map((h) => remedyWords(h.remedy, survey))
            .join(', ')}
          .
        </p>
      ) : null}
      {waiting.length > 0 ? (
        <p className="mt-1 text-[14px]">
          {waiting.length} families wait for an answer: unknown never passes. Asked most:{' '}
          {[...new Set(waiting.flatMap((r) => r.asks))].slice(0, 4).map(asked).join(', ')}.
        </p>
      ) : null}
      <div className="mt-2 grid gap-x-5 gap-y-4 sm:grid-cols-2 2xl:grid-cols-3">
        {list('family').map((r) => (
          <Stopped key={r.id} refused={r} {...props} />
        ))}
      </div>
      <Unshown {...props} families={families} />
      <details className="mt-3">
        <summary className="figure cursor-pointer text-[15px]">
          Ways of stripping refused: {list('method').length}
        </summary>
        <div className="mt-2 grid gap-4 sm:grid-cols-2 2xl:grid-cols-3">
          {list('method').map((r) => (
            <Stopped key={r.id} refused={r} {...props} />
          ))}
        </div>
      </details>
    </section>
  );
}

function Stopped({ refused: r, ...props }: Props & { readonly refused: Advice['refused'][number] }) {
  const { survey, means, families } = props;
  const sheets = new Map([...families].map(([id, f]) => [id, f.sheet]));
  const mends = wouldHold(r, survey, means);
  const family = r.about === 'family' ? families.get(r.id) : undefined;
  // What is said of it comes first; where only another coat of the route it got farthest in was refused, that is said.
  const isOwn = (x: Reason): boolean =>
    x.data['product'] === undefined || x.data['product'] === family?.sheet.name;
  const own = family ? r.reasons.filter(isOwn) : r.reasons;
  const said = own.length > 0 ? own : r.reasons;
  const at = stopOf(said[0]!.ruleId);
  return (
    <section data-refused={r.id} className="flex min-w-0 gap-3">
      {family ? <StopShort at={at} colour={family.sheet.bandColour} /> : null}
      <div className="min-w-0 flex-1">
        <h4 className="text-[15px] leading-tight first-letter:uppercase">{refusedName(r, sheets)}</h4>
        {family ? (
          <p className="text-[13px] text-quiet">
            {STOP_WORDS[at]}
            {own.length > 0 ? '' : ', in the route it got farthest in'}
          </p>
        ) : null}
        <ul className="text-[14px]">
          {said.slice(0, 2).map((x) => (
            <RuleLine key={x.ruleId} tone="against" reason={x} />
          ))}
        </ul>
        {mends.length > 0 ? (
          <p className="text-[14px]">
            Would hold with{' '}
            {mends.map((m, i) => (
              <span key={m.words}>
                {i > 0 ? ', or ' : ''}
                <MendLink mending={m} onAsk={props.onAsk} onAnswer={props.onAnswer} />
              </span>
            ))}
            .
          </p>
        ) : family ? (
          <p className="text-[13px] text-quiet">No answer and no tool changes that here: choose another.</p>
        ) : null}
      </div>
    </section>
  );
}

function MendLink({
  mending: m,
  onAsk,
  onAnswer,
}: { readonly mending: Mending } & Pick<Props, 'onAsk' | 'onAnswer'>) {
  if (m.by === 'shop')
    return (
      <Link className="underline" to="/settings#practice">
        {m.words}
      </Link>
    );
  return (
    <button
      type="button"
      className="text-left underline pointer-coarse:min-h-11"
      onClick={() => (m.by === 'answer' ? onAsk(m.field) : onAnswer({ practice: m.practice }))}
    >
      {m.words}
    </button>
  );
}

/** Routes that hold and lost their place, each as a cut on the rivals’ scale, with the quality that cost it most. */
function Unshown({ advice, families, onLook }: Props) {
  if (advice.unshown.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="figure cursor-pointer text-[15px]">
        Also hold, and lost: {advice.unshown.length}
      </summary>
      <ul className="mt-1 grid gap-x-5 text-[14px] sm:grid-cols-2">
        {advice.unshown.map((u) => (
          <li
            key={`${u.way} ${u.choice.layers.map((l) => l.familyId).join()}`}
            className="flex gap-3 border-t border-line/60 py-1"
          >
            <span className="shrink-0">
              <Section
                layers={layersOfChoice(u.choice.layers, families)}
                specifiedUm={0}
                profileUm={8}
                widthPx={44}
                heightPx={56}
                fullUm={UNSHOWN_UM}
                label={layersWords(u.choice.layers, families)}
              />
            </span>
            <span className="min-w-0">
              {WAY_WORDS[u.way]}: {actsWords(u.choice.acts)}; {layersWords(u.choice.layers, families)}{' '}
              <span className="text-quiet">
                · {u.figures.hours.toFixed(0)} h, {u.figures.days.toFixed(0)} days · less{' '}
                {QUALITY_WORDS[u.lostBy]}
              </span>{' '}
              <button
                type="button"
                className="underline pointer-coarse:min-h-11"
                onClick={() => onLook(u.choice)}
              >
                look at its steps
              </button>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
