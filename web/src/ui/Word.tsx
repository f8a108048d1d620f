import { useRef, useState, type ReactNode } from 'react';
import { chunk } from './chunk.tsx';

/** What it opens, and the glossary with it, come when a word is first pointed at. */
const WordPanel = chunk(() => import('./WordPanel.tsx'));

interface Props {
  /** A word of the glossary, by its id. */
  readonly term: string;
  readonly children: ReactNode;
  readonly className?: string;
  /** In a row that is itself walked by keys: the word is touched, and by keys it is read on the part’s own page. */
  readonly isInRow?: boolean;
}

/** A word that explains itself when it is touched; the same words stand in Reference. */
export function Word({ term, children, className = '', isInRow = false }: Props) {
  const at = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        ref={at}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        {...(isInRow ? { tabIndex: -1 } : {})}
        className={`cursor-help text-left decoration-dotted decoration-from-font underline-offset-3 ${isInRow ? 'hover:underline' : 'underline'} ${className}`}
        onPointerEnter={WordPanel.preload}
        onFocus={WordPanel.preload}
        onClick={(e) => {
          e.stopPropagation();
          setOpen(!isOpen);
        }}
      >
        {children}
      </button>
      {isOpen ? <WordPanel term={term} at={at} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
