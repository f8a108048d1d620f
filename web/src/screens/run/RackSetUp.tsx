import { useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  coatMinutes,
  coatTakes,
  jobGroups,
  TOOLS,
  usualTool,
  type JobGroup,
  type ProductSheet,
  type Tool,
} from '@calvetta/core';
import type { BenchResponse, MixView, PartCard } from '@calvetta/contract';
import { CAUTION_WORDS, INDUCTION_WORDS, mayWords } from '@calvetta/contract/words';
import { usePeople } from '../../api/queries.ts';
import { Field } from '../../forms/Field.tsx';
import { SelectField } from '../../forms/fields.tsx';
import { useRun } from '../../state/run.ts';
import { useNowMs } from '../../state/clock.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/Empty.tsx';
import { Heading } from '../../ui/Heading.tsx';
import { TickBox } from '../../ui/TickBox.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { actView } from '../../words/actText.ts';
import { useHandsTrouble } from '../../words/handsTrouble.ts';
import { isMixGone } from '../../words/mixWords.ts';

interface Props {
  readonly bench: BenchResponse;
  readonly sheets: readonly ProductSheet[];
}

/** Only what may be coated now goes on a rack; whatever needs a reason is coated from its own page. */
const mayGo = (c: PartCard): boolean => c.act.code === 'coat';

/** Parts that take one paint, pulled together before the gun is filled. */
export function RackSetUp({ bench, sheets }: Props) {
  const [params, setParams] = useSearchParams();
  const groups = jobGroups(bench.rows, sheets).filter((g) => g.parts.some(mayGo));
  const wanted = params.get('job');
  const group = groups.find((g) => g.key === wanted) ?? groups[0];
  if (!group)
    return (
      <div className="p-4">
        <Heading title={['Run']}>A gun-load</Heading>
        <Empty
          title="Nothing may be coated just now"
          text="A rack is pulled together of parts whose window is open and whose air holds. The Bench says what each waits for."
          next={{ to: '/', text: 'To the Bench' }}
        />
      </div>
    );
  const asked = params.get('parts')?.split(',') ?? null;
  return (
    <div className="flex flex-col gap-3 p-4 max-md:p-2">
      <Heading title={['Run']}>A gun-load</Heading>
      <div className="max-w-[520px]">
        <SelectField
          label="Paint"
          value={group.key}
          options={groups.map((g) => ({ value: g.key, text: groupWords(g) }))}
          onChange={(job) => setParams({ job }, { replace: true })}
        />
      </div>
      <Rack key={group.key} group={group} bench={bench} asked={asked} />
    </div>
  );
}

const groupWords = (g: JobGroup): string => {
  const now = g.parts.filter(mayGo).length;
  return `${g.sheet.name}${g.colour === null ? '' : `, ${g.colour}`} — ${now} ${now === 1 ? 'part' : 'parts'}`;
};

interface RackProps {
  readonly group: JobGroup;
  readonly bench: BenchResponse;
  readonly asked: readonly string[] | null;
}

function Rack({ group, bench, asked }: RackProps) {
  const nowMs = useNowMs();
  const units = useUnits();
  const ready = group.parts.filter(mayGo);
  const others = group.parts.filter((c) => !mayGo(c));
  const [on, setOn] = useState<readonly string[]>(
    ready.map((c) => c.partId).filter((id) => asked === null || asked.includes(id)),
  );
  const says = (c: PartCard): string => actView(c, nowMs, bench.zone, units).text;
  return (
    <>
      <ul aria-label="On the rack" className="grid gap-x-4 md:grid-cols-2">
        {ready.map((c) => (
          <li key={c.partId} className="flex items-center gap-2 border-b border-line/60">
            <TickBox
              label={`${c.name} on the rack`}
              isOn={on.includes(c.partId)}
              onChange={(isOn) => setOn(isOn ? [...on, c.partId] : on.filter((id) => id !== c.partId))}
            />
            <span>
              <span className="font-semibold">{c.name}</span>{' '}
              <span className="text-quiet">· {c.machineName}</span>
              <span className="block text-[13px]">{says(c)}</span>
            </span>
          </li>
        ))}
      </ul>
      {others.length > 0 ? (
        <details>
          <summary className="cursor-pointer pointer-fine:py-1 text-[13px]">
            {others.length} more take this paint, and not now
          </summary>
          <ul className="text-[13px]">
            {others.map((c) => (
              <li key={c.partId}>
                {c.name}: {says(c)}
              </li>
            ))}
          </ul>
        </details>
      ) : null}
      <How group={group} bench={bench} parts={ready.filter((c) => on.includes(c.partId))} />
      <p className="text-[13px]">
        Before the gun: masked, degreased and wiped within this session, the last wipe dry. The paint stirred,
        thinned by its sheet, strained.
      </p>
      {group.sheet.cautions.map((c) => (
        <p key={c} className="text-[13px] text-warn">
          {CAUTION_WORDS[c] ?? c}
        </p>
      ))}
    </>
  );
}

/** How it is laid on, and from which cup. */
function How({
  group: { sheet, colour },
  bench,
  parts,
}: Pick<RackProps, 'group' | 'bench'> & { readonly parts: readonly PartCard[] }) {
  const nowMs = useNowMs();
  const units = useUnits();
  const begin = useRun((s) => s.begin);
  const people = usePeople();
  const nameOf = (personId: string): string =>
    people.find((p) => p.personId === personId)?.name ?? 'Whoever holds the device';
  const [passes, setPasses] = useState(2);
  const [tool, setTool] = useState<Tool>(usualTool(sheet));
  const isRight = (m: MixView): boolean =>
    m.sheetId === sheet.sheetId && (m.colour === null || m.colour === colour) && !isMixGone(m, nowMs);
  const hands = useHandsTrouble(coatTakes(sheet, tool));
  const cups = bench.mixes.filter(isRight);
  const [mixId, setMixId] = useState(cups[0]?.mixId ?? '');
  const start = (): void =>
    begin({
      sheetId: sheet.sheetId,
      colour,
      tool,
      passes,
      mixId: mixId === '' ? null : mixId,
      beganMs: nowMs,
      parts: parts.map((c) => ({
        partId: c.partId,
        name: c.name,
        machineName: c.machineName,
        dftUm: c.next?.dftUm ?? sheet.dftUm,
        passMin: coatMinutes(c, sheet, tool) / passes,
        passes: [],
        readyMs: nowMs,
        isLogged: false,
        isOut: false,
      })),
    });
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label="Wet passes each">
        <input
          type="number"
          min={1}
          max={9}
          className="w-24"
          value={passes}
          onChange={(e) => setPasses(Math.min(9, Math.max(1, Math.round(Number(e.target.value)) || 1)))}
        />
      </Field>
      <SelectField
        label="By"
        value={tool}
        options={TOOLS.map((t) => ({ value: t, text: t }))}
        onChange={setTool}
      />
      <SelectField
        label="From the cup"
        value={mixId}
        options={[
          ...cups.map((m) => ({ value: m.mixId, text: `${m.productName}, ${units.volume(m.leftMl)} left` })),
          { value: '', text: 'no cup on record' },
        ]}
        onChange={setMixId}
      />
      {hands ? (
        <p role="alert" className="w-full border-l-4 border-bad bg-ground p-3">
          {nameOf(hands.personId)} has no standing induction for {INDUCTION_WORDS[hands.to]} (
          {mayWords(hands.may)}). Let somebody hold the device who has, or lay it in another way; what was
          laid all the same is logged part by part, with why.
        </p>
      ) : null}
      <Button look="main" disabled={parts.length === 0 || hands !== null} onClick={start}>
        Begin with {parts.length === 1 ? 'one part' : `${parts.length} parts`}
      </Button>
    </div>
  );
}
