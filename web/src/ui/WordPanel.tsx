import { Popover } from 'radix-ui';
import type { RefObject } from 'react';
import { Link } from 'react-router';
import { termOf } from '@calvetta/contract/words';

interface Props {
  readonly term: string;
  /** The word it belongs to. */
  readonly at: RefObject<HTMLButtonElement | null>;
  readonly onClose: () => void;
}

/** What a word of the glossary means, beside the word. */
export default function WordPanel({ term, at, onClose }: Props) {
  const t = termOf(term);
  if (!t) return null;
  return (
    <Popover.Root open onOpenChange={(isOpen) => (isOpen ? undefined : onClose())}>
      <Popover.Anchor virtualRef={at} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={8}
          aria-label={`What “${t.word}” means`}
          className="z-50 max-w-[320px] border border-line bg-panel p-3 text-[14px] shadow-xl"
          onClick={(e) => e.stopPropagation()}
          onPointerDownOutside={(e) => {
            // The word itself closes what it opened.
            if (e.target instanceof Node && at.current?.contains(e.target)) e.preventDefault();
          }}
          onCloseAutoFocus={(e) => {
            e.preventDefault();
            at.current?.focus();
          }}
        >
          <b className="figure text-[16px] font-semibold first-letter:uppercase">{t.word}</b>
          <p>{t.means}</p>
          <Link className="text-[13px] underline" to={`/reference#word.${t.id}`}>
            all words
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
