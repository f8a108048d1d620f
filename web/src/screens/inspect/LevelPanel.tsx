import { useState } from 'react';
import {
  LEVEL_STANDARDS,
  LEVEL_WITH,
  STOP_AT_PCT,
  type Face,
  type InspectView,
  type LevelStandard,
  type LevelState,
  type LevelView,
  type LevelWith,
} from '@calvetta/core';
import { LEVEL_STANDARD_WORDS, LEVEL_WITH_WORDS } from '@calvetta/contract/words';
import { Choice } from '../../forms/Field.tsx';
import { NumberField, SelectField } from '../../forms/fields.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { asIs, maybe, number } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { duration } from '../../ui/time.ts';
import { FallingCurve } from './FallingCurve.tsx';
import { LevelStops } from './LevelStops.tsx';
import { useFinds, type Finds } from './useFinding.ts';

type EdgeLook = 'sound' | 'thin';
const EDGES: readonly { readonly value: EdgeLook; readonly text: string }[] = [
  { value: 'sound', text: 'whole' },
  { value: 'thin', text: 'sanded thin' },
];

interface Props {
  readonly view: InspectView;
  readonly face: Face | null;
  readonly level: LevelView | null;
}

/** Filling and blocking, cycle by cycle, to a standard that is set first; and when to stop. */
export function LevelPanel({ view, face, level }: Props) {
  const finds = useFinds(view);
  const { log } = finds;
  const standard = level?.standard ?? null;
  return (
    <section aria-label="Levelling" className="flex flex-col gap-2 border border-line bg-panel p-3">
      <h2 className="text-[16px]">Levelling{face === null ? '' : `, face ${face}`}</h2>
      <OneOf<LevelStandard>
        label="Standard"
        value={standard}
        onChange={(s) => log('level-set', face, { standard: s })}
        options={LEVEL_STANDARDS.map((s) => ({ value: s, text: LEVEL_STANDARD_WORDS[s].name }))}
      />
      <p className="text-[13px] text-quiet">
        {standard === null
          ? 'Say first how good it has to be. That is what stops you.'
          : `${LEVEL_STANDARD_WORDS[standard].is}; at most ${STOP_AT_PCT[standard]} % still showing under the guide coat.`}
      </p>
      {level && standard && level.cycles.length > 0 ? (
        <>
          <FallingCurve level={level} standard={standard} />
          {level.state ? <LevelStops stops={level.state.stops} /> : null}
          {level.state ? <Stop state={level.state} standard={standard} /> : null}
        </>
      ) : null}
      {standard === null ? null : <CycleForm face={face} level={level} finds={finds} />}
    </section>
  );
}

/** One cycle: what went on, how it was blocked, and what still shows after it. */
function CycleForm({ face, level, finds }: Pick<Props, 'face' | 'level'> & { readonly finds: Finds }) {
  const { log, save } = finds;
  const last = level?.cycles[level.cycles.length - 1];
  const draft = useDraft(
    {
      what: asIs,
      gritP: number('P', 16, 5000),
      showingPct: number('%', 0, 100),
      minutes: maybe(number('min', 0.5, 1440)),
      buildMm: maybe(number('mm', 0.01, 20)),
    },
    {
      what: last?.what ?? 'surfacer',
      gritP: String(last?.gritP ?? 180),
      showingPct: '',
      minutes: '',
      buildMm: '',
    },
  );
  const [edge, setEdge] = useState<EdgeLook | null>(null);
  const store = (): void => {
    const v = draft.read();
    if (!v) return;
    log(
      'levelled',
      face,
      {
        what: v.what as LevelWith,
        gritP: Math.round(v.gritP),
        showingPct: v.showingPct,
        ...(v.minutes === null ? {} : { minutes: v.minutes }),
        ...(v.buildMm === null ? {} : { buildMm: v.buildMm }),
        ...(edge === null ? {} : { isEdgeThin: edge === 'thin' }),
      },
      {
        done: () => {
          draft.set({ showingPct: '', minutes: '', buildMm: '' });
          setEdge(null);
        },
      },
    );
  };
  return (
    <>
      {/* What is typed while the last is being stored would be cleared with it. */}
      <fieldset disabled={save.isBusy} className="grid grid-cols-2 gap-2">
        <SelectField
          label="What went on"
          value={draft.texts.what as LevelWith}
          options={LEVEL_WITH.map((w) => ({ value: w, text: LEVEL_WITH_WORDS[w] }))}
          onChange={(what) => draft.set({ what })}
        />
        <NumberField label="Blocked with, P" hint="such as 180" bound={draft.bind('gritP')} />
        <NumberField
          label="Still showing, %"
          hint="guide coat left in lows; look from above"
          bound={draft.bind('showingPct')}
          refused={save.problemAt('body.showingPct')}
        />
        <NumberField label="Minutes" hint="may be left empty" bound={draft.bind('minutes')} />
        <NumberField label="Laid on, mm" hint="may be left empty" bound={draft.bind('buildMm')} />
        <Choice<EdgeLook> label="Edges" value={edge} options={EDGES} onChange={setEdge} />
      </fieldset>
      <FormTrouble words={save.trouble} />
      <Button look="main" className="self-start" disabled={save.isBusy} onClick={store}>
        Log the cycle
      </Button>
    </>
  );
}

/** What the curve says, in a sentence: stop, so many more, or another way of doing it. */
function Stop({ state, standard }: { readonly state: LevelState; readonly standard: LevelStandard }) {
  const name = LEVEL_STANDARD_WORDS[standard].name;
  if (state.isMet)
    return (
      <p className="border-l-4 border-good bg-ground p-2 text-[16px]">
        It meets the standard you set, {name}: <strong>stop</strong>. One more cycle would leave about{' '}
        {Math.round(100 * state.factor)} % of what still shows
        {state.minutesEach === null ? '' : `, for ${duration(state.minutesEach * 60_000)} of hands`}.
      </p>
    );
  if (state.isStuck)
    return (
      <p className="border-l-4 border-warn bg-ground p-2 text-[16px]">
        The last two cycles changed almost nothing: <strong>change the method</strong>. A longer block, a
        coarser grit, or filler in place of surfacer.
      </p>
    );
  const { crossing } = state;
  if (crossing.kind === 'not-surely-falling')
    return (
      <p className="border-l-4 border-warn bg-ground p-2 text-[16px]">
        It is <strong>not surely falling</strong>: the cycles so far do not say how many are to go.
      </p>
    );
  const range =
    crossing.kind === 'fitted'
      ? ` (the ${crossing.fromCycle.toFixed(1)}th to ${crossing.toCycle.toFixed(1)}th, nine times in ten)`
      : ' by what a cycle usually leaves, 65 %; three cycles of one kind tell your own';
  return (
    <p className="border-l-4 border-wait bg-ground p-2 text-[16px]">
      About <strong>{state.moreCycles} more</strong> to {name}
      <span className="text-[14px] text-quiet">
        {range}
        {state.moreMinutes === null ? '' : ` · ${duration(state.moreMinutes * 60_000)} of hands at your pace`}
      </span>
    </p>
  );
}
