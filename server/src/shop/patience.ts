import { setTimeout as after } from 'node:timers/promises';
import type { Snapshot } from '@calvetta/core';
import { AppError } from '../http/errors.ts';
import type { Model } from '../model/model.ts';

/** Longest that somebody waits for a large shop without a word. */
const PATIENCE_MS = 2000;
const LOOK_MS = 200;
/** A shop with fewer parts is there before anybody could read how far it is. */
const LARGE_PARTS = 200;

/**
 * The snapshot; while a large shop is worked out for the first time after a start, how far that is (`working-out`), to be asked again.
 * What is not worked out yet is never guessed.
 */
export async function snapshotOrProgress(
  model: Pick<Model, 'snapshot' | 'progress'>,
  patienceMs = PATIENCE_MS,
): Promise<Snapshot | null> {
  const coming = model.snapshot();
  if (model.progress() === null) return coming;
  for (let waitedMs = 0; ;) {
    // While the record is still being read, nobody knows how large the shop is: looked at again.
    const forMs = waitedMs === 0 ? patienceMs : LOOK_MS;
    const first = await Promise.race([coming, after(forMs, 'waited' as const, { ref: false })]);
    if (first !== 'waited') return first;
    waitedMs += forMs;
    const progress = model.progress();
    if (progress === null || (progress.of > 0 && progress.of < LARGE_PARTS)) return coming;
    if (progress.of === 0) continue;
    // Whoever asks next takes it up; that it fails is said there.
    coming.catch(() => undefined);
    throw new AppError('working-out', progress);
  }
}
