import { useState } from 'react';
import { cupSeconds, FLOW_CUPS, viscosityMm2S, type FlowCup } from '@calvetta/core';
import { FLOW_CUP_WORDS } from '@calvetta/contract/words';
import { failureWords } from '../../forms/failureWords.ts';
import { SelectField } from '../../forms/fields.tsx';
import { Field } from '../../forms/Field.tsx';

const CUPS = Object.keys(FLOW_CUPS) as FlowCup[];

/** Seconds of one flow cup as viscosity, and as seconds of another. */
export function FlowCupPanel() {
  const [from, setFrom] = useState<FlowCup>('din-4');
  const [to, setTo] = useState<FlowCup>('iso-4');
  const [text, setText] = useState('');
  const seconds = Number(text.replace(',', '.'));
  const nu = text.trim() === '' ? null : viscosityMm2S(from, seconds);
  const other = nu?.ok ? cupSeconds(to, nu.value) : null;
  const select = (label: string, value: FlowCup, onChange: (c: FlowCup) => void) => (
    <SelectField
      label={label}
      hint={`${FLOW_CUPS[value].leastS}–${FLOW_CUPS[value].mostS} s at ${FLOW_CUPS[value].atC} °C`}
      value={value}
      options={CUPS.map((c) => ({ value: c, text: FLOW_CUP_WORDS[c] }))}
      onChange={onChange}
    />
  );
  return (
    <details className="border border-line bg-panel p-3">
      <summary className="figure cursor-pointer text-[16px] font-semibold">
        Flow cup: is it thin enough?
      </summary>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        {select('Cup', from, setFrom)}
        <Field label="Seconds">
          <input
            className="w-20"
            inputMode="decimal"
            value={text}
            onChange={(e) => setText(e.target.value)}
          />
        </Field>
        {select('As seconds of', to, setTo)}
        <p role="status" className="pb-2">
          {nu === null ? null : nu.ok ? (
            <>
              <span className="figure text-[22px]">{nu.value.toFixed(0)} mm²/s</span>
              {other?.ok ? (
                <span className="figure text-[22px]"> · {other.value.toFixed(0)} s</span>
              ) : other ? (
                <span className="text-quiet"> · {FLOW_CUP_WORDS[to]} cannot show that</span>
              ) : null}
            </>
          ) : (
            <span className="text-bad">{failureWords(nu.error)}</span>
          )}
        </p>
      </div>
      <p className="mt-1 text-[13px] text-quiet">
        {FLOW_CUPS[from].source}; for paints that flow evenly, not for thixotropic ones. The maker’s sheet
        says what to aim for.
      </p>
    </details>
  );
}
