import { useMemo, useState } from 'react';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { partsWrite } from '../record/write.ts';
import { Button } from '../ui/Button.tsx';
import { Field } from '../forms/Field.tsx';
import { SelectField } from '../forms/fields.tsx';
import { Foot } from '../forms/Foot.tsx';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { LIST_COLUMN_WORDS, LIST_COLUMNS, readList, readPart, type ListColumn } from './partsList.ts';

interface Props {
  readonly machineId: string;
  readonly machineName: string;
  readonly onClose: () => void;
}

/** Parts pasted from a spreadsheet: columns are matched, every row that will not do is named before anything is stored. */
export function PartsListDialog({ machineId, machineName, onClose }: Props) {
  const send = useSend();
  const save = useSave();
  const [text, setText] = useState('');
  const list = useMemo(() => readList(text), [text]);
  const [chosen, setChosen] = useState<Readonly<Record<number, ListColumn>>>({});
  const columns = list.columns.map((c, i) => chosen[i] ?? c);
  // Ids are made once for a list, so that storing it again makes none twice.
  const ids = useMemo(() => list.rows.map(() => `${machineId}.${newId().slice(0, 12)}`), [list, machineId]);
  const read = list.rows.map((cells, i) => readPart(cells, columns, i + 1, () => ids[i]!));
  const good = read.flatMap((r) => (r.ok ? [r.part] : []));
  const bad = read.flatMap((r) => (r.ok ? [] : [r]));
  const store = (): void => {
    const said = `${good.length} parts made in ${machineName}`;
    save.run(() => send(partsWrite(machineId, good), said), onClose);
  };
  return (
    <Panel title="Paste a parts list" subtitle={machineName} onClose={onClose}>
      <div className="flex flex-col gap-3">
        <Field
          label="Rows from a spreadsheet"
          hint="name, assembly, metal, mass, area, thickness, faces: tabs, semicolons or commas, with a heading row"
        >
          <textarea rows={6} autoFocus value={text} onChange={(e) => setText(e.target.value)} />
        </Field>
        {list.headings.length > 0 ? (
          <div className="flex flex-wrap gap-2">
            {list.headings.map((h, i) => (
              <SelectField<ListColumn>
                key={`${i}${h}`}
                label={h}
                value={columns[i]!}
                options={LIST_COLUMNS.map((c) => ({ value: c, text: LIST_COLUMN_WORDS[c] }))}
                onChange={(c) => setChosen({ ...chosen, [i]: c })}
              />
            ))}
          </div>
        ) : null}
        {bad.length > 0 ? (
          <ul role="alert" className="max-h-40 overflow-y-auto border border-line p-2 text-[13px]">
            {bad.map((b) => (
              <li key={b.row}>
                row {b.row}, {LIST_COLUMN_WORDS[b.column]}: “{b.got}” · accepted: {b.accepts}
              </li>
            ))}
          </ul>
        ) : null}
        <FormTrouble words={save.trouble} />
        <Foot>
          <Button look="main" disabled={save.isBusy || good.length === 0} onClick={store}>
            Make {good.length} parts
          </Button>
          {bad.length > 0 ? (
            <span className="text-[13px] text-quiet">
              {bad.length} rows are left out until they are mended
            </span>
          ) : null}
        </Foot>
      </div>
    </Panel>
  );
}
