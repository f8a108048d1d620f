import { useCallback, useState } from 'react';

/** The width an element was given, in px; 0 before the first layout. */
export function useWidth(): readonly [(node: HTMLElement | null) => void, number] {
  const [width, setWidth] = useState(0);
  const ref = useCallback((node: HTMLElement | null) => {
    if (!node) return;
    const observer = new ResizeObserver((entries) => {
      const next = Math.floor(entries[0]?.contentRect.width ?? 0);
      setWidth((old) => (Math.abs(old - next) > 1 ? next : old));
    });
    observer.observe(node);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}
