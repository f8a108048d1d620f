import { Button } from '../../ui/Button.tsx';
import type { useSurvey } from './useSurvey.ts';

interface Props {
  readonly surveying: ReturnType<typeof useSurvey>;
  readonly isBusy: boolean;
  /** Parts alike that get the same survey. */
  readonly also: number;
  readonly onKeep: () => void;
}

/** Answers that are on this device only: keep them on record, or let them go. A route that is used keeps them by itself. */
export function KeepSurvey({ surveying, isBusy, also, onKeep }: Props) {
  if (!surveying.isDraft) return null;
  return (
    <div className="border-l-4 border-mark bg-ground p-2 text-[14px]">
      {surveying.isOvertaken ? (
        <p role="alert" className="mb-1">
          Somebody stored another survey of this part since you began. Keep yours over it, or take theirs.
        </p>
      ) : (
        <p className="mb-1">These answers are on this device only.</p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button disabled={isBusy} onClick={onKeep}>
          {also > 0 ? `Keep the survey for ${also + 1} parts` : 'Keep the survey'}
        </Button>
        <Button disabled={isBusy} onClick={surveying.drop}>
          {surveying.isOvertaken ? 'Take theirs' : 'Let them go'}
        </Button>
      </div>
    </div>
  );
}
