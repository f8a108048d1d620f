import { rotaOf, type PlanView, type Rota, type SessionCard } from '@calvetta/core';
import { clockTime } from '../../ui/time.ts';
import { blockWords } from './planWords.ts';

interface Props {
  readonly view: PlanView;
  readonly index: number;
  readonly card: SessionCard;
}
type Turn = Rota['shared'][number];

/** Who comes, and what each of them does: one way of sharing it out. Nothing where people were only counted. */
export function WhoDoesWhat({ view, index, card }: Props) {
  const rota = rotaOf(view, index, card);
  if (!rota) return null;
  const words = (t: Turn): string => {
    const run = card.runs.find((r) => r.runId === t.runId);
    if (run) return `${run.name}${run.colour === null ? '' : `, ${run.colour}`} by ${run.tool}`;
    const entry = card.entries.find((e) => e.block.opId === t.opId);
    return entry ? `${entry.lane.name}: ${blockWords(entry.block)}` : '';
  };
  const line = (t: Turn) => (
    <li key={`${t.opId} ${t.fromMs}`} className="grid grid-cols-[88px_minmax(0,1fr)] gap-1">
      <span className="figure text-[13px] text-quiet">
        {clockTime(t.fromMs, view.zone)}–{clockTime(t.toMs, view.zone)}
      </span>
      <span className="leading-tight">{words(t)}</span>
    </li>
  );
  return (
    <details>
      <summary className="cursor-pointer pointer-fine:py-1 text-[14px]">
        There: {rota.people.map((p) => p.name).join(', ')}
        <span className="text-quiet"> · who does what</span>
      </summary>
      <ul aria-label="Who does what" className="flex flex-col gap-2 pb-1">
        {rota.people.map((p) => (
          <li key={p.name}>
            <strong>{p.name}</strong>
            {p.turns.length === 0 ? (
              <span className="text-[14px] text-quiet"> has hands free</span>
            ) : (
              <ul className="text-[14px]">{p.turns.map(line)}</ul>
            )}
          </li>
        ))}
        {rota.shared.length > 0 ? (
          <li>
            <strong>Changing hands</strong>
            <ul className="text-[14px]">{rota.shared.map(line)}</ul>
          </li>
        ) : null}
      </ul>
    </details>
  );
}
