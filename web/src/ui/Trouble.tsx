import { Refused } from '../api/client.ts';
import { Empty } from './Empty.tsx';

/** What stands in a place whose data has not come: still asking, refused, or away. */
export function Waiting({ error, what }: { readonly error: Error | null; readonly what: string }) {
  if (error instanceof Refused && error.status < 500) {
    return (
      <Empty title={`No such ${what}`} text={error.body.remedy} next={{ to: '/', text: 'To the Bench' }} />
    );
  }
  return (
    <p className="p-6 text-quiet" role="status">
      {error ? 'Calvetta does not answer; asking again…' : `Reading the ${what}…`}
    </p>
  );
}
