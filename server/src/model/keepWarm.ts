import type { Logger } from 'pino';
import type { Model } from './model.ts';

/** Well within what a snapshot is served for: whoever comes finds one. */
const EVERY_MS = 60_000;

/**
 * Nobody waits for a large shop to be worked out: it is at the start, and again and again while nobody looks, so that the first tablet of
 * the morning has its Bench at once. Parts at rest cost nothing. Returns what stops it.
 */
export function keepWarm(model: Pick<Model, 'snapshot'>, log: Pick<Logger, 'warn'>, everyMs = EVERY_MS) {
  const look = (): void => {
    model
      .snapshot()
      .catch((error: unknown) => log.warn({ err: String(error) }, 'the shop was not worked out'));
  };
  look();
  const timer = setInterval(look, everyMs);
  return (): void => clearInterval(timer);
}
