import { createElement, useEffect, useState, type ComponentType, type ReactNode } from 'react';

/** Its file did not come: nobody answers, or the server has another version of the page by now. */
export class NotCome extends Error {}

/** A view whose code comes when it is first asked for. */
export type Chunk<P extends object> = ComponentType<P> & {
  /** Asks for the code before anybody has to wait for it. */
  readonly preload: () => void;
};

/**
 * A view in a file of its own, with what stands there until it has come. Not React's `lazy`: that keeps what has come behind its
 * fallback for 300 ms, and never asks again for what failed to come once. A failure goes to the guard of the screen.
 */
export function chunk<P extends object>(
  load: () => Promise<{ readonly default: ComponentType<P> }>,
  waiting: ReactNode = null,
): Chunk<P> {
  let come: ComponentType<P> | null = null;
  let coming: Promise<ComponentType<P>> | null = null;
  const ask = (): Promise<ComponentType<P>> =>
    (coming ??= load().then(
      (module) => (come = module.default),
      (error: unknown) => {
        coming = null;
        throw new NotCome(error instanceof Error ? error.message : String(error));
      },
    ));

  function Chunked(props: P): ReactNode {
    const [View, setView] = useState<ComponentType<P> | null>(() => come);
    const [failure, setFailure] = useState<NotCome | null>(null);
    useEffect(() => {
      if (View) return;
      let isShown = true;
      ask().then(
        (view) => {
          if (isShown) setView(() => view);
        },
        (error: unknown) => {
          if (isShown) setFailure(error as NotCome);
        },
      );
      return () => {
        isShown = false;
      };
    }, [View]);
    if (failure) throw failure;
    return View ? createElement(View, props) : waiting;
  }
  return Object.assign(Chunked, { preload: () => void ask().catch(() => undefined) });
}
