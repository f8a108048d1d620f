import type { GateVerdict } from '@calvetta/core';
import { GateLine } from '../../ui/GateLine.tsx';

/** One line when all pass; each gate in its own line as soon as one does not. */
export function Gates({ verdict }: { readonly verdict: GateVerdict }) {
  const lines = verdict.gates.map((g) => <GateLine key={g.kind} gate={g} />);
  return verdict.status === 'pass' ? (
    <details className="border border-line bg-ground px-2 py-1 text-[14px]">
      <summary className="cursor-pointer">
        <span className="figure mr-2 text-good">pass</span>
        all {verdict.gates.length} gates pass now
      </summary>
      {lines}
    </details>
  ) : (
    <div className="flex flex-col gap-0.5 border border-line bg-ground p-2">{lines}</div>
  );
}
