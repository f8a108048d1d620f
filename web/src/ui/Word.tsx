import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { termOf } from '@calvetta/contract/words';

interface Props {
  /** A word of the glossary, by its id. */
  readonly term: string;
  readonly children?: ReactNode;
  readonly className?: string;
  /** In a row that is itself walked by keys: the word is touched, and by keys it is read on the part’s own page. */
  readonly isInRow?: boolean;
}

/** A word that explains itself when it is touched; the same words stand in Reference. */
export function Word({ term, children, className = '', isInRow = false }: Props) {
  const t = termOf(term);
  if (!t) return <span className={className}>{children}</span>;
  return (
    <Popover.Root>
      <Popover.Trigger
        {...(isInRow ? { tabIndex: -1 } : {})}
        className={`cursor-help text-left decoration-dotted decoration-from-font underline-offset-3 ${isInRow ? 'hover:underline' : 'underline'} ${className}`}
        onClick={(e) => e.stopPropagation()}
      >
        {children ?? t.word}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={8}
          aria-label={`What “${t.word}” means`}
          className="z-50 max-w-[320px] border border-line bg-panel p-3 text-[14px] shadow-xl"
          onClick={(e) => e.stopPropagation()}
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
