import { GLOSSARY } from '@calvetta/contract/words';

/** Words of the trade and of these pages, each with an address of its own. */
export function Words({ wanted }: { readonly wanted: string | null }) {
  return (
    <section id="words" aria-label="Words" className="scroll-mt-4">
      <h2 className="text-[20px]">Words</h2>
      <dl className="gap-x-8 text-[14px] md:columns-2">
        {GLOSSARY.map((t) => (
          <div
            key={t.id}
            id={`word.${t.id}`}
            className={`break-inside-avoid border-t border-line/60 py-1.5 ${wanted === `word.${t.id}` ? 'bg-panel outline-2 outline-mark' : ''}`}
          >
            <dt className="figure text-[15px] font-semibold first-letter:uppercase">{t.word}</dt>
            <dd>{t.means}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
