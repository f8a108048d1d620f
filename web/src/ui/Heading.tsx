import { useEffect, type ReactNode } from 'react';

interface Props {
  /** What the tab is called, the nearest first: the part, then its machine. */
  readonly title: readonly string[];
  readonly className?: string;
  readonly children: ReactNode;
}

/** The heading of a screen; the browser’s tab, its history and a screen reader are told the same. */
export function Heading({ title, className = 'text-[24px]', children }: Props) {
  const text = [...title, 'Calvetta'].join(' · ');
  useEffect(() => {
    document.title = text;
  }, [text]);
  return <h1 className={className}>{children}</h1>;
}
