import type { Evident, EvidenceCode, Weighing } from '@calvetta/core';
import { FAULT_WORDS } from '@calvetta/contract/words';
import { causeWords } from '../../words/causeWords.ts';
import { useEvidence } from './useEvidence.ts';

interface Props {
  readonly weighing: Weighing;
  readonly evidence: readonly Evident[];
  readonly isTwo: boolean;
}
const pct = (share: number): string => `${Math.round(100 * share)} %`;

/** The causes, weighed in sight: a bar for each, and under it what moved it most. */
export function Causes({ weighing, evidence, isTwo }: Props) {
  const say = useEvidence();
  const shown = weighing.causes.filter((c, i) => i < 3 || c.share >= 0.04).slice(0, 6);
  const rest = weighing.causes.length - shown.length;
  const told = (codes: readonly EvidenceCode[]): string[] =>
    codes.flatMap((code) => {
      const e = evidence.find((x) => x.code === code);
      return e ? [say(e)] : [];
    });
  return (
    <ol className="flex flex-col gap-2" aria-label="Causes, weighed">
      {shown.map((c) => {
        const up = told(c.up).slice(0, 2);
        const down = told(c.down).slice(0, 2);
        return (
          <li key={`${c.fault}:${c.causeId}`} className="grid grid-cols-[minmax(0,1fr)_52px] gap-x-2">
            <span className="text-[15px]">
              {causeWords(c.fault, c.causeId).is}
              {isTwo ? <span className="text-[13px] text-quiet"> · {FAULT_WORDS[c.fault].name}</span> : null}
            </span>
            <span className="figure text-right text-[15px]">{pct(c.share)}</span>
            <Bar share={c.share} />
            {up.length + down.length > 0 ? (
              <span className="col-span-2 text-[13px] text-quiet">
                {up.length > 0 ? <>for it: {up.join(', ')}</> : null}
                {up.length > 0 && down.length > 0 ? ' · ' : null}
                {down.length > 0 ? <>against: {down.join(', ')}</> : null}
              </span>
            ) : null}
          </li>
        );
      })}
      <li className="grid grid-cols-[minmax(0,1fr)_52px] gap-x-2 text-quiet">
        <span>
          something else
          {rest > 0 ? ` · ${rest} more below 4 %` : ''}
        </span>
        <span className="figure text-right">{pct(weighing.otherShare)}</span>
        <Bar share={weighing.otherShare} isOther />
      </li>
    </ol>
  );
}

/** A share as a beam on a fixed ground, so that two of them can be held against each other. */
function Bar({ share, isOther = false }: { readonly share: number; readonly isOther?: boolean }) {
  return (
    <svg
      className="col-span-2 my-0.5 block h-[10px] w-full"
      aria-hidden="true"
      preserveAspectRatio="none"
      viewBox="0 0 100 10"
    >
      <path d="M0 9.500h100" stroke="var(--line)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <rect
        x={0}
        y={1}
        height={8}
        width={Math.max(0.4, 100 * share)}
        fill={isOther ? 'var(--s-unknown)' : 'var(--chosen)'}
        className="transition-[width] duration-300 motion-reduce:transition-none"
      />
      {[25, 50, 75].map((x) => (
        <path
          key={x}
          d={`M${x} 0v10`}
          stroke="var(--line)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
