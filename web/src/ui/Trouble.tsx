import { Refused } from '../api/client.ts';
import { useWorkingOut } from '../state/workingOut.ts';
import { Empty } from './Empty.tsx';

/** What stands in a place whose data has not come: still asking, refused, or away. */
export function Waiting({
  error,
  what,
  isPage = false,
}: {
  readonly error: Error | null;
  readonly what: string;
  /** It stands for a whole screen. */
  readonly isPage?: boolean;
}) {
  const progress = useWorkingOut((s) => s.progress);
  if (error instanceof Refused && error.status < 500) {
    return (
      <Empty
        isPage={isPage}
        title={`No such ${what}`}
        text={error.body.remedy}
        next={{ to: '/', text: 'To the Bench' }}
      />
    );
  }
  if (progress)
    return (
      <div className="flex max-w-prose flex-col gap-2 p-6" role="status">
        <p>
          The shop was started just now and is being worked out: {progress.done.toLocaleString('en-GB')} of{' '}
          {progress.of.toLocaleString('en-GB')} parts. The {what} shows by itself then.
        </p>
        <div
          role="progressbar"
          aria-label="Parts worked out"
          aria-valuenow={progress.done}
          aria-valuemax={progress.of}
          className="h-[10px] border border-line bg-panel"
        >
          <div className="h-full bg-mark" style={{ width: `${(100 * progress.done) / progress.of}%` }} />
        </div>
      </div>
    );
  return (
    <p className="p-6 text-quiet" role="status">
      {error ? 'Calvetta does not answer; asking again…' : `Reading the ${what}…`}
    </p>
  );
}
