import { useMemo, useState } from 'react';
import { SUBSTRATES, type Substrate } from '@calvetta/core';
import { SUBSTRATE_WORDS } from '@calvetta/contract/words';
import { useLearned, useMachines, usePlaces } from '../api/queries.ts';
import { useRecordMany } from '../record/useRecordMany.ts';
import { Field } from '../forms/Field.tsx';
import { SelectField } from '../forms/fields.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { partsWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { newId } from '../ui/newId.ts';
import { entriesOf, LikeAssembly, NO_LIKE, type LikeOnes } from './LikeAssembly.tsx';
import {
  LIST_COLUMN_WORDS,
  LIST_COLUMNS,
  newOnes,
  readList,
  readRow,
  typedColumns,
  usualWords,
  type Draft,
  type Known,
  type ListColumn,
  type ListRow,
} from './partsList.ts';

interface Props {
  readonly machineId: string;
  readonly machineName: string;
  readonly onStored: (made: number) => void;
}

/** What is being typed, what was made of it, and what of that is new to the machine. */
function usePartsList(machineId: string) {
  const machines = useMachines();
  const places = usePlaces();
  const sizes = useLearned().data?.sizes ?? [];
  // A text and the ids of its parts: storing the same text again makes none twice, and another text has ids of its own.
  const [sheet, setSheet] = useState(() => ({ text: '', batch: newId() }));
  const [assembly, setAssembly] = useState('');
  const [columnOf, setColumnOf] = useState<Readonly<Record<number, ListColumn>>>({});
  const [metalOf, setMetalOf] = useState<Readonly<Record<number, Substrate>>>({});
  const list = useMemo(() => readList(sheet.text), [sheet.text]);
  const columns = list.columns.map((c, i) => columnOf[i] ?? c);
  const rows = list.rows.map((cells, i) =>
    readRow(cells, list.hasHeading ? columns : typedColumns(cells), i + 1, {
      metal: metalOf[i],
      assembly: assembly.trim() || 'Parts',
      places,
      sizes,
    }),
  );
  const known: Known[] = (machines.data?.machines ?? [])
    .filter((m) => m.machineId === machineId)
    .flatMap((m) => m.assemblies.flatMap((a) => a.parts));
  const drafts = rows.flatMap((r) => (r.ok ? r.parts : []));
  const fresh = newOnes(drafts, known, (i) => `part-${sheet.batch.slice(0, 18)}-${i}`);
  const setText = (text: string): void => {
    setSheet({ text, batch: newId() });
    setMetalOf({});
  };
  /** Rows that will not do stay in the sheet until they are mended; the heading with them. How many. */
  const keepBad = (): number => {
    const head = list.hasHeading ? [list.lines[0]!] : [];
    const left = rows.flatMap((r, i) => (r.ok ? [] : [list.lines[i + head.length]!]));
    setText(left.length > 0 ? [...head, ...left].join('\n') : '');
    return left.length;
  };
  return {
    text: sheet.text,
    setText,
    assembly,
    setAssembly,
    list,
    columns,
    setColumn: (i: number, c: ListColumn) => setColumnOf({ ...columnOf, [i]: c }),
    setMetal: (i: number, metal: Substrate) => setMetalOf({ ...metalOf, [i]: metal }),
    rows,
    fresh,
    bad: rows.filter((r) => !r.ok).length,
    keepBad,
  };
}

/** A machine’s parts, typed or pasted: what was understood of each row stands beside it, and is put right there. */
export function PartsList({ machineId, machineName, onStored }: Props) {
  const send = useSend();
  const save = useSave();
  const l = usePartsList(machineId);
  const { list, columns, rows, fresh, bad } = l;
  const recordMany = useRecordMany();
  const [like, setLike] = useState<LikeOnes>(NO_LIKE);
  const store = (): void =>
    save.run(
      async () => {
        await send(partsWrite(machineId, fresh.parts), `${fresh.parts.length} parts made in ${machineName}`);
        for (const { kind, parts, bodies } of entriesOf(fresh, like))
          await recordMany({ kind, parts, happenedMs: Date.now(), body: bodies[0]! }, (i) => bodies[i]!);
      },
      () => l.keepBad() === 0 && onStored(fresh.parts.length),
    );
  return (
    <div className="flex flex-col gap-3">
      <LikeAssembly
        onLike={(text, ones) => {
          l.setText(text);
          setLike(ones);
        }}
      />
      <Field
        label="Parts, one to a line"
        hint="“Bracket, mild steel, 2 kg”; or rows from a spreadsheet with a heading: name, assembly, metal, kind, how many, mass, area, thickness, faces, colour, place"
      >
        <textarea rows={6} value={l.text} onChange={(e) => l.setText(e.target.value)} />
      </Field>
      {columns.includes('assembly') ? null : (
        <Field label="They belong to" hint="the assembly; left empty they stand under “Parts”">
          <input value={l.assembly} maxLength={120} onChange={(e) => l.setAssembly(e.target.value)} />
        </Field>
      )}
      {list.hasHeading ? (
        <details open={columns.includes('ignore')}>
          <summary className="cursor-pointer text-[13px]">What each column is</summary>
          <div className="flex flex-wrap gap-2 pt-2">
            {list.headings.map((h, i) => (
              <SelectField<ListColumn>
                key={`${i}${h}`}
                label={h}
                value={columns[i]!}
                options={LIST_COLUMNS.map((c) => ({ value: c, text: LIST_COLUMN_WORDS[c] }))}
                onChange={(c) => l.setColumn(i, c)}
              />
            ))}
          </div>
        </details>
      ) : null}
      {rows.length > 0 ? (
        <Understood
          rows={rows}
          nameOf={(i) => list.rows[i]?.[columns.indexOf('name')] ?? ''}
          onMetal={l.setMetal}
        />
      ) : null}
      <FormTrouble words={save.trouble} />
      <div className="flex flex-wrap items-center gap-3">
        <Button look="main" disabled={save.isBusy || fresh.parts.length === 0} onClick={store}>
          {fresh.parts.length === 0
            ? 'Make the parts'
            : `Make ${fresh.parts.length} ${fresh.parts.length === 1 ? 'part' : 'parts'}`}
        </Button>
        <span className="text-[13px] text-quiet" role="status">
          {[
            ...(fresh.known > 0 ? [`${fresh.known} are there already`] : []),
            ...(bad > 0 ? [`${bad} ${bad === 1 ? 'row stays' : 'rows stay'} here until mended`] : []),
          ].join(' · ')}
        </span>
      </div>
    </div>
  );
}

interface UnderstoodProps {
  readonly rows: readonly ListRow[];
  readonly nameOf: (i: number) => string;
  readonly onMetal: (i: number, metal: Substrate) => void;
}

const understood = (p: Draft, placeName: string | null): string =>
  [
    p.assemblyName,
    ...(placeName === null ? [] : [placeName]),
    ...(p.massKg === null ? [] : [`${Number(p.massKg.toPrecision(3))} kg`]),
    ...(p.areaM2 === null ? [] : [`${Number(p.areaM2.toPrecision(3))} m²`]),
    ...(p.thicknessMm === null ? [] : [`${Number(p.thicknessMm.toPrecision(3))} mm`]),
    ...(p.faces === 2 ? ['front and back'] : []),
    ...(p.colourGroup == null ? [] : [p.colourGroup]),
    ...(p.usual ? [usualWords(p.usual)] : []),
  ].join(' · ');

/** What was made of each row; the metal, which decides everything, can be put right here. */
function Understood({ rows, nameOf, onMetal }: UnderstoodProps) {
  const places = usePlaces();
  const placeOf = (p: Draft): string | null => places.find((x) => x.placeId === p.placeId)?.name ?? null;
  return (
    <div className="max-h-72 overflow-y-auto border border-line">
      <table className="w-full text-[13px]">
        <tbody>
          {rows.map((r, i) => (
            <tr key={r.row} className="border-t border-line/60 align-top first:border-t-0">
              <td className="px-2 py-1 font-semibold">
                {nameOf(i) === '' ? '(no name)' : nameOf(i)}
                {r.ok && r.parts.length > 1 ? <span className="text-quiet"> × {r.parts.length}</span> : null}
              </td>
              <td className="w-44 px-2 py-1">
                <select
                  aria-label={`Metal of row ${r.row}, ${nameOf(i)}`}
                  value={r.ok ? r.parts[0]!.substrate : ''}
                  onChange={(e) => onMetal(i, e.target.value as Substrate)}
                >
                  {r.ok ? null : <option value="">which metal?</option>}
                  {SUBSTRATES.map((s) => (
                    <option key={s} value={s}>
                      {SUBSTRATE_WORDS[s]}
                    </option>
                  ))}
                </select>
              </td>
              <td className="px-2 py-1">
                {r.ok ? (
                  <span className="text-quiet">{understood(r.parts[0]!, placeOf(r.parts[0]!))}</span>
                ) : (
                  <span role="alert" className="text-bad">
                    {r.column === 'metal'
                      ? `${r.got === '' ? 'No metal is said' : `“${r.got}” is no metal known here`}: choose it.`
                      : `${LIST_COLUMN_WORDS[r.column]}: ${r.got === '' ? 'nothing there' : `“${r.got}”`} · accepted: ${r.accepts}`}
                  </span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
