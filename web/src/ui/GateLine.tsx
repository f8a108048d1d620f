import type { Gate } from '@calvetta/core';
import { GATE_STATUS_WORDS, GATE_WORDS } from '@calvetta/contract/words';
import { useUnits } from './useUnits.ts';

const TONE = { pass: 'text-good', marginal: 'text-warn', fail: 'text-bad', unknown: 'text-bad' } as const;

/** One gate in a line: what is asked, what is, how far inside and how sure. */
export function GateLine({ gate }: { readonly gate: Gate }) {
  const units = useUnits();
  const show = (v: number): string =>
    gate.unit === 'K' ? units.spread(v) : gate.unit === '°C' ? units.temp(v) : `${v.toFixed(0)} %`;
  const spread = (v: number): string => (gate.unit === '%' ? `${v.toFixed(0)} %` : units.spread(v));
  return (
    <p className="flex flex-wrap gap-x-3 text-[14px]">
      <span className={`figure w-[72px] ${TONE[gate.status]}`}>{GATE_STATUS_WORDS[gate.status]}</span>
      <span className="min-w-[180px] flex-1">{GATE_WORDS[gate.kind]}</span>
      <span className="figure">
        {gate.value === null ? 'not known' : `${show(gate.value)} ± ${spread(gate.uncertainty ?? 0)}`}{' '}
        <span className="text-quiet">of {show(gate.limit)}</span>
      </span>
    </p>
  );
}
