import type { Save } from './useSave.ts';

/** What stands stored in place of what was seen; null where nobody was first. */
export function theirsOf(save: Save): unknown {
  const refusal = save.refused?.body;
  return refusal?.code === 'version-conflict' ? refusal.details.stored : null;
}
