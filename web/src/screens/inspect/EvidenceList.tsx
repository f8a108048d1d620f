import type { Evident, EvidenceCode } from '@calvetta/core';
import { EVIDENCE_WORDS } from '@calvetta/contract/words';
import { Button } from '../../ui/Button.tsx';
import { useEvidence } from './useEvidence.ts';

interface Props {
  readonly evidence: readonly Evident[];
  readonly onTakeBack: (code: EvidenceCode) => void;
}

/** All that is known, from the record and from answers; what contradicts stands apart. */
export function EvidenceList({ evidence, onTakeBack }: Props) {
  const say = useEvidence();
  const clashes = evidence.filter((e) => e.isContradicted);
  const answers = evidence.filter((e) => e.from === 'answer');
  const record = evidence.filter((e) => e.from === 'record' && !e.isContradicted);
  return (
    <div className="flex flex-col gap-2 text-[14px]">
      {clashes.length > 0 ? (
        <div className="border-l-4 border-mark bg-ground p-2">
          The record and an answer contradict, and neither counts:
          <ul>
            {clashes.map((e) => (
              <li key={e.code}>
                the record says “{say(e)}”{' '}
                <Button look="quiet" onClick={() => onTakeBack(e.code)}>
                  Take the answer back
                </Button>
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {answers.length > 0 ? (
        <ul aria-label="Answered">
          {answers.map((e) => (
            <li key={e.code} className="flex flex-wrap items-center gap-2">
              <span className="flex-1">
                {EVIDENCE_WORDS[e.code].ask} <strong>{e.says === 'yes' ? 'Yes' : 'No'}</strong>
                {e.isWeak ? <span className="text-quiet"> · from memory: counts less</span> : null}
              </span>
              <Button look="quiet" onClick={() => onTakeBack(e.code)}>
                Take back
              </Button>
            </li>
          ))}
        </ul>
      ) : null}
      <details>
        <summary className="cursor-pointer">What the record says ({record.length})</summary>
        <ul className="columns-2 gap-4 pt-1 max-md:columns-1">
          {record.map((e) => (
            <li key={e.code} className={e.says === 'yes' ? '' : 'text-quiet'}>
              {say(e)}
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}
