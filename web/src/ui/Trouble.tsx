import { Refused } from '../api/client.ts';
import { Empty } from './Empty.tsx';

/** What stands in a place whose data has not come: still asking, refused, or away. */
export function Waiting({ error, what }: { readonly error: Error | null; readonly what: string }) {
  if (error instanceof Refused && error.status < 500) {
    const { body } = error;
    const isEmpty = body.code === 'not-found' && body.details.what === 'workshop';
    return (
      <Empty
        title={isEmpty ? 'No workshop yet' : `No such ${what}`}
        text={isEmpty ? 'Import a Calvetta shop file, or start the demo with bin/demo.' : body.remedy}
        next={{ to: '/', text: 'To the Bench' }}
      />
    );
  }
  return (
    <p className="p-6 text-quiet" role="status">
      {error ? 'Calvetta does not answer; asking again…' : `Reading the ${what}…`}
    </p>
  );
}
