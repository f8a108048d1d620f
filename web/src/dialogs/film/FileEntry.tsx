import { useState } from 'react';
import type { PartDetail } from '@calvetta/contract';
import { getGaugeCsv } from '../../api/client.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../forms/Field.tsx';
import { gaugeRefusalWords, readGaugeText } from '../filmEntry.ts';

interface FileProps {
  readonly part: PartDetail;
  readonly needed: number;
  readonly onReadings: (um: readonly number[]) => void;
}

/** A pasted column, a gauge's CSV, or the simulated gauge that ships with Calvetta. A missing unit is asked for. */
export function FileEntry({ part, needed, onReadings }: FileProps) {
  const [text, setText] = useState('');
  const [unit, setUnit] = useState<'um' | 'mil' | null>(null);
  const answer = text.trim() === '' ? null : readGaugeText(text, unit);
  const take = (next: string, nextUnit: 'um' | 'mil' | null): void => {
    setText(next);
    setUnit(nextUnit);
    const r = next.trim() === '' ? null : readGaugeText(next, nextUnit);
    onReadings(r?.ok ? r.value.readingsUm : []);
  };
  return (
    <div className="flex flex-col gap-2">
      <Field label="Readings" hint="a column from a spreadsheet, or the gauge’s own file">
        <textarea rows={4} value={text} onChange={(e) => take(e.target.value, null)} />
      </Field>
      <div className="flex flex-wrap items-center gap-2">
        <input
          type="file"
          accept=".csv,.txt"
          aria-label="The gauge’s file"
          onChange={(e) => void e.target.files?.[0]?.text().then((t) => take(t, null))}
        />
        <Button onClick={() => void getGaugeCsv(part.card.partId, needed, 'um').then((t) => take(t, null))}>
          Read the simulated gauge
        </Button>
      </div>
      {answer && !answer.ok ? (
        <p role="alert" className="flex flex-wrap items-center gap-2 text-warn">
          {gaugeRefusalWords(answer.error)}
          {answer.error.code === 'which-unit' ? (
            <>
              <Button onClick={() => take(text, 'um')}>µm</Button>
              <Button onClick={() => take(text, 'mil')}>mil</Button>
            </>
          ) : null}
        </p>
      ) : null}
      {answer?.ok && answer.value.skipped.length > 0 ? (
        <p className="text-[13px] text-quiet">
          Not readings: {answer.value.skipped.map((s) => `line ${s.line} “${s.text}”`).join(', ')}
        </p>
      ) : null}
    </div>
  );
}
