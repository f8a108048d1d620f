import { Link } from 'react-router';
import { isOpenFinding, type Finding, type InspectView } from '@calvetta/core';
import { CLOSED_WORDS, findingName, REPAIR_WORDS } from '@calvetta/contract/words';

/** What became of a finding, or is to become of it. */
function fate({ repair, closed }: Finding): string {
  const todo = repair ? REPAIR_WORDS[repair.body.repair] : null;
  if (!closed) return todo ? `to be done: ${todo}` : 'nothing decided';
  return [todo, CLOSED_WORDS[closed.body.how], closed.body.reason].filter(Boolean).join(', ');
}
/** Ways after which a part is not the one it was. */
const NEW = ['remake', 'buy'];
const isNew = (f: Finding): boolean => NEW.includes(f.repair?.body.repair ?? '');

/** A left and its right, with what was found on both: the difference is said, because a pair stays alike. */
export function OtherHand({ view }: { readonly view: InspectView }) {
  const { pair } = view;
  if (!pair || (pair.findings.length === 0 && view.findings.length === 0)) return null;
  const differs = view.findings.some(isNew) !== pair.findings.some(isNew);
  return (
    <section
      aria-label="The other hand"
      className="flex flex-col gap-1 border border-line bg-panel p-3 text-[14px]"
    >
      <h2 className="text-[16px]">
        The other hand:{' '}
        <Link
          className="underline underline-offset-2"
          to={`/parts/${encodeURIComponent(pair.partId)}/inspect`}
        >
          {pair.name}
        </Link>
      </h2>
      {pair.findings.length === 0 ? <p className="text-quiet">Nothing was found on it.</p> : null}
      <ul>
        {pair.findings.map((f) => (
          <li key={f.findingId} className={isOpenFinding(f) ? '' : 'text-quiet'}>
            {findingName(f)}: {fate(f)}
          </li>
        ))}
      </ul>
      {differs ? (
        <p className="border-l-4 border-mark bg-ground p-2">
          One is new and the other is not. A pair stays alike: shape, thickness, paint of one batch.
        </p>
      ) : null}
    </section>
  );
}
