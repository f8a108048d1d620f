import type { FactBodies } from '@calvetta/core';
import { sha256Hex } from '../api/sha256.ts';
import { record } from './outbox.ts';
import { useRecord } from './useRecord.ts';
import { pictureWrite } from './write.ts';

interface About {
  readonly partId: string;
  readonly partName: string;
  readonly face: 'A' | 'B' | null;
}

/**
 * Stores a picture, named by the hash of its file. Its name.
 */
export async function storePicture(file: Blob): Promise<string> {
  const pictureId = sha256Hex(new Uint8Array(await file.arrayBuffer()));
  await record(pictureWrite(pictureId, file));
  return pictureId;
}

/**
 * Stores a picture and the entry that names it: both wait on this device while the server is away, the picture first. */
export function usePicture(): (
  file: Blob,
  about: About,
  body: Omit<FactBodies['pictured'], 'pictureId'>,
) => Promise<void> {
  const keep = useRecord();
  return async (file, about, body) => {
    const pictureId = await storePicture(file);
    await keep({
      ...about,
      kind: 'pictured',
      happenedMs: Date.now(),
      endedMs: null,
      body: { ...body, pictureId },
    });
  };
}
