import { FAULT_WORDS } from '@calvetta/contract/words';
import { causeWords } from '../../words/causeWords.ts';
import { useLearned } from '../../api/queries.ts';

/** What went wrong here with this product before, and what keeps it from coming again. */
export function LessonsHere({ productId }: { readonly productId: string }) {
  const lessons = (useLearned().data?.lessons ?? []).filter((l) => l.productId === productId).slice(0, 2);
  if (lessons.length === 0) return null;
  return (
    <ul className="border-l-4 border-wait bg-ground p-2 text-[14px]" aria-label="Learned here">
      {lessons.map((l) => {
        const words = causeWords(l.fault, l.causeId);
        return (
          <li key={`${l.fault}:${l.causeId}`}>
            Here before: {FAULT_WORDS[l.fault].name}, by {words.is}. {words.next}
          </li>
        );
      })}
    </ul>
  );
}
