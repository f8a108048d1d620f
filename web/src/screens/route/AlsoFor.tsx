import { useMachines } from '../../api/queries.ts';
import type { PartDetail } from '@calvetta/contract';

interface Props {
  readonly part: PartDetail;
  readonly chosen: readonly string[];
  readonly onChoose: (partIds: readonly string[]) => void;
}

/** Parts of the same metal in the same machine, its other side first: one survey and one route for many alike. */
export function AlsoFor({ part, chosen, onChoose }: Props) {
  const machines = useMachines();
  const machine = machines.data?.machines.find((m) => m.machineId === part.card.machineId);
  const alike = (machine?.assemblies ?? [])
    .flatMap((a) => a.parts)
    .filter((p) => p.partId !== part.card.partId && p.substrate === part.card.substrate)
    .sort((a, b) => Number(b.partId === part.pairPartId) - Number(a.partId === part.pairPartId));
  if (alike.length === 0) return null;
  const toggle = (id: string): void =>
    onChoose(chosen.includes(id) ? chosen.filter((x) => x !== id) : [...chosen, id]);
  return (
    <details className="border border-line bg-panel p-3">
      <summary className="figure cursor-pointer text-[15px]">
        Also for parts alike{' '}
        <span className="text-[13px] text-quiet">
          {chosen.length > 0 ? `${chosen.length} chosen` : `${alike.length} of the same metal`}; each keeps
          its own mass, area and thickness, and is judged by itself
        </span>
      </summary>
      <div className="mt-2 flex flex-wrap gap-x-4 gap-y-1">
        {alike.map((p) => (
          <label
            key={p.partId}
            className="flex min-h-8 items-center gap-1.5 text-[14px] pointer-coarse:min-h-11"
          >
            <input type="checkbox" checked={chosen.includes(p.partId)} onChange={() => toggle(p.partId)} />
            {p.name}
            {p.partId === part.pairPartId ? <span className="text-quiet">· its other side</span> : null}
          </label>
        ))}
      </div>
    </details>
  );
}
