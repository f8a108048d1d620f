import { useMemo, useState } from 'react';
import { followOf, type Family, type Follow } from '@calvetta/core';
import { reasonWords } from '@calvetta/contract/words';

const ROLES = ['etch', 'primer', 'filler', 'intermediate', 'finish', 'clear'] as const;
const CELL = 15;
const NAME_PX = 190;
const HEAD_PX = 150;
const LOOK: Readonly<Record<Follow['verdict'], { readonly fill: string; readonly word: string }>> = {
  goes: { fill: 'var(--chosen)', word: 'goes on it' },
  mind: { fill: 'url(#t-closing)', word: 'goes, and mind' },
  refused: { fill: 'var(--panel)', word: 'refused' },
};

/** What may go over what: each family below against each above, by the rules about pairs and both sheets. */
export function Followers({ families }: { readonly families: readonly Family[] }) {
  const list = useMemo(
    () => ROLES.flatMap((role) => families.filter((f) => f.sheet.role === role)),
    [families],
  );
  const table = useMemo(() => list.map((below) => list.map((above) => followOf(below, above))), [list]);
  const [chosen, setChosen] = useState(0);
  const row = table[chosen];
  if (!row) return null;
  const names = (verdict: Follow['verdict']): readonly (readonly [string, Follow])[] =>
    row.flatMap((f, i) => (f.verdict === verdict ? [[list[i]!.sheet.name, f] as const] : []));
  return (
    <section id="followers" aria-label="What goes on what" className="scroll-mt-4">
      <h2 className="text-[20px]">What goes on what</h2>
      <p className="text-[14px] text-quiet">
        Read across: the coat below stands at the left, the coat on it above. Full: it goes. Ruled: it goes,
        and there is something to mind. Empty: a rule stops it. Touch a row to read why.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The chart">
        <Chart list={list} table={table} chosen={chosen} onChoose={setChosen} />
      </div>
      <label className="mt-2 flex items-center gap-2 text-[14px]">
        On
        <select value={chosen} onChange={(e) => setChosen(Number(e.target.value))}>
          {list.map((f, i) => (
            <option key={f.familyId} value={i}>
              {f.sheet.name}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-2 grid gap-4 text-[14px] md:grid-cols-2" aria-live="polite">
        <p>
          <b className="font-semibold">Goes on it:</b>{' '}
          {names('goes')
            .map(([n]) => n)
            .join(', ') || 'nothing without a word'}
          .
        </p>
        <Why title="Goes, and mind" of={names('mind')} />
        <Why title="Refused" of={names('refused')} />
      </div>
    </section>
  );
}

/** Families by what is said of them: one sentence, then those it is said of. */
function Why({ title, of }: { readonly title: string; readonly of: readonly (readonly [string, Follow])[] }) {
  if (of.length === 0) return null;
  const by = new Map<string, string[]>();
  for (const [name, f] of of) {
    const said = reasonWords(f.reasons[0]!);
    by.set(said, [...(by.get(said) ?? []), name]);
  }
  return (
    <div>
      <b className="font-semibold">{title}:</b>
      <ul>
        {[...by].map(([said, names]) => (
          <li key={said} className="border-t border-line/60 py-1">
            {said} <span className="text-quiet">{names.join(', ')}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

interface ChartProps {
  readonly list: readonly Family[];
  readonly table: readonly (readonly Follow[])[];
  readonly chosen: number;
  readonly onChoose: (row: number) => void;
}

function Chart({ list, table, chosen, onChoose }: ChartProps) {
  const width = NAME_PX + list.length * CELL + 40;
  const height = HEAD_PX + list.length * CELL;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${list.length} families below against ${list.length} above; the list under the chart says the same in words`}
      className="block"
      fontFamily="var(--font-figure)"
      fontSize="12"
      fill="var(--ink)"
    >
      {list.map((f, i) => (
        <text key={f.familyId} transform={`translate(${NAME_PX + i * CELL + 10} ${HEAD_PX - 6}) rotate(-60)`}>
          {short(f.sheet.name)}
        </text>
      ))}
      {table.map((row, r) => (
        <g key={list[r]!.familyId} onClick={() => onChoose(r)} className="cursor-pointer">
          <rect
            x={0}
            y={HEAD_PX + r * CELL}
            width={width}
            height={CELL}
            fill={r === chosen ? 'var(--ground)' : 'var(--panel)'}
          />
          <text
            x={NAME_PX - 6}
            y={HEAD_PX + r * CELL + 11}
            textAnchor="end"
            fontWeight={r === chosen ? 700 : 400}
          >
            {short(list[r]!.sheet.name)}
          </text>
          {row.map((f, c) => (
            <rect
              key={list[c]!.familyId}
              x={NAME_PX + c * CELL + 1.5}
              y={HEAD_PX + r * CELL + 1.5}
              width={CELL - 3}
              height={CELL - 3}
              fill={LOOK[f.verdict].fill}
              stroke="var(--line)"
              strokeWidth={0.8}
            />
          ))}
        </g>
      ))}
    </svg>
  );
}
const MOST = 28;
const short = (name: string): string => (name.length <= MOST ? name : `${name.slice(0, MOST - 1)}…`);
