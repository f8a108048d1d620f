import type { Family, Matter } from '@calvetta/core';
import { MATTER_WORDS } from '@calvetta/contract/words';

/** What a primer may be asked to go over. */
const ASKED: readonly Matter[] = [
  'tight-rust',
  'pit-rust',
  'scale',
  'sound-paint',
  'phosphate',
  'oxide',
  'salts',
  'oil',
];

/** Old paint and phosphate films are traits of their own: a sheet lists them or does not. */
const standsOver = (t: Family['traits'], m: Matter): 'all' | 'traces' | undefined =>
  (m === 'sound-paint' && t.overOldPaint) || (m === 'phosphate' && t.overPhosphate) ? 'all' : t.tolerates[m];

/** First coats: how clean and how rough they want the metal, what they stand over, and on what bare metals. */
export function Primers({ families }: { readonly families: readonly Family[] }) {
  const first = families.filter((f) => f.traits.bareMetals.length > 0);
  return (
    <section id="primers" aria-label="First coats" className="scroll-mt-4">
      <h2 className="text-[20px]">First coats: what they ask, what they stand over</h2>
      <p className="text-[14px] text-quiet">
        A full square: they go over it. A half: over traces of it. An empty one: it comes off first. Each by
        its own sheet, where a sheet says it.
      </p>
      <div className="relative overflow-x-auto">
        <table className="w-full text-left text-[13px]">
          <thead className="figure align-bottom text-[12px] text-quiet">
            <tr>
              <th className="py-1 pr-3 font-medium">first coat</th>
              <th className="pr-3 font-medium">wants at least</th>
              <th className="pr-3 font-medium">roughness, µm</th>
              {ASKED.map((m) => (
                <th key={m} className="pr-2 font-medium">
                  {MATTER_WORDS[m]}
                </th>
              ))}
              <th className="font-medium">on bare</th>
            </tr>
          </thead>
          <tbody>
            {first.map(({ familyId, sheet, traits: t }) => (
              <tr key={familyId} className="border-t border-line/60">
                <th scope="row" className="py-1 pr-3 font-medium">
                  <span
                    className="mr-2 inline-block size-3 border border-ink/40 align-middle"
                    style={{ background: sheet.bandColour }}
                  />
                  {sheet.name}
                </th>
                <td className="pr-3 whitespace-nowrap">
                  {t.leastClean}
                  {t.needsBlast ? ', blasted' : ''}
                </td>
                <td className="figure pr-3">{t.profileUm ? `${t.profileUm.min}–${t.profileUm.max}` : ''}</td>
                {ASKED.map((m) => (
                  <td key={m} className="pr-2">
                    <Stands much={standsOver(t, m)} />
                  </td>
                ))}
                <td>{t.bareMetals.join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

function Stands({ much }: { readonly much: 'all' | 'traces' | undefined }) {
  const word = much === 'all' ? 'yes' : much === 'traces' ? 'traces' : 'no';
  return (
    <span className="flex items-center">
      <svg width={14} height={14} aria-hidden="true">
        <rect x={1} y={1} width={12} height={12} fill="none" stroke="var(--quiet)" />
        {much === undefined ? null : (
          <rect
            x={1}
            y={much === 'all' ? 1 : 7}
            width={12}
            height={much === 'all' ? 12 : 6}
            fill="var(--chosen)"
          />
        )}
      </svg>
      <span className="sr-only">{word}</span>
    </span>
  );
}
