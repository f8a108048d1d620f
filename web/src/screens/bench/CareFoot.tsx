import { Link } from 'react-router';
import { useCare } from '../../api/queries.ts';

/** What finished parts ask for, below those in motion. Nothing where nothing is due. */
export function CareFoot() {
  const care = useCare().data;
  if (!care) return null;
  const due = care.lines.filter((l) => l.status === 'due').length;
  const back = care.reminders.filter((r) => r.isDue).length;
  if (due + back === 0) return null;
  const words = [
    ...(due > 0 ? [`${due} ${due === 1 ? 'job' : 'jobs'} of care due`] : []),
    ...(back > 0 ? [`${back} ${back === 1 ? 'decision comes' : 'decisions come'} back`] : []),
  ];
  return (
    <p className="pt-3 text-[14px] text-quiet">
      Finished parts:{' '}
      <Link className="underline underline-offset-2" to="/aftercare">
        {words.join(', ')}
      </Link>
    </p>
  );
}
