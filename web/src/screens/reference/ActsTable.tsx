import { ACTS, blankSurvey, shareOf, type Act, type Matter, type Survey } from '@calvetta/core';
import { MATTER_WORDS, WHAT_WORDS } from '@calvetta/contract/words';

/** The plate that the shares are said of. */
const PLATE: Survey = { ...blankSurvey('steel-plate'), rust: 'C', coating: 'sound', coatKind: 'two-pack' };
const MATTER: readonly Matter[] = [
  'oil',
  'soaked-oil',
  'wax',
  'glue',
  'loose-rust',
  'tight-rust',
  'pit-rust',
  'scale',
  'underseal',
  'oxide',
];
const FULL = 16;
const FRACTIONS: Readonly<Record<number, string>> = { 4: '¼', 8: '½', 12: '¾', 16: 'all' };

/** What each act takes off and leaves: the table that the judge, the search and the drawings share. */
export function ActsTable() {
  return (
    <section id="acts" aria-label="Acts" className="scroll-mt-4">
      <h2 className="text-[20px]">What each act takes off and leaves</h2>
      <p className="text-[14px] text-quiet">
        Of what was present, on a steel plate of rust grade C. On castings and light metals some take less, as
        the route shows. Common practice, no published source, where a rule does not name one.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full text-left text-[13px]">
          <thead className="figure align-bottom text-[12px] text-quiet">
            <tr>
              <th className="py-1 pr-3 font-medium">act</th>
              {MATTER.map((m) => (
                <th key={m} className="pr-2 font-medium">
                  {MATTER_WORDS[m]}
                </th>
              ))}
              <th className="pr-2 font-medium">one-pack</th>
              <th className="pr-2 font-medium">two-pack</th>
              <th className="pr-2 font-medium">reaches</th>
              <th className="pr-2 font-medium">roughness, µm</th>
              <th className="font-medium">least, mm</th>
            </tr>
          </thead>
          <tbody>
            {ACTS.map((a) => (
              <ActRow key={a.actId} act={a} />
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function ActRow({ act: a }: { readonly act: Act }) {
  return (
    <tr id={`act.${a.actId}`} className="border-t border-line/60">
      <th scope="row" className="py-1 pr-3 font-medium">
        {WHAT_WORDS[a.actId]!.split(',')[0]}
      </th>
      {MATTER.map((m) => (
        <Share key={m} of={shareOf(a, m, PLATE)} />
      ))}
      <Share of={a.paint['one-pack'][0]} />
      <Share of={a.paint['two-pack'][0]} />
      <td className="pr-2 whitespace-nowrap">{reached(a)}</td>
      <td className="figure pr-2 whitespace-nowrap">
        {a.profileUm ? a.profileUm.join('–') : a.burnishes ? 'burnished' : ''}
      </td>
      <td className="figure whitespace-nowrap">
        {a.leastMm ? [...new Set([a.leastMm.flat, a.leastMm.stiff])].join(', stiff ') : ''}
      </td>
    </tr>
  );
}

const reached = (a: Act): string => (a.pickles ? 'pickled' : a.clean === 'none' ? (a.other ?? '') : a.clean);

function Share({ of }: { readonly of: number }) {
  return (
    <td className="pr-2">
      {of === 0 ? null : (
        <span className="flex items-center gap-1">
          <span className="inline-block h-2 w-5 bg-line">
            <span className="block h-full bg-chosen" style={{ width: `${(100 * of) / FULL}%` }} />
          </span>
          {FRACTIONS[of] ?? `${of}/${FULL}`}
        </span>
      )}
    </td>
  );
}
