import { createHash } from 'node:crypto';
import readExif from 'exif-reader';
import sharp from 'sharp';
import type { WrittenTime } from '@calvetta/core';
import { invalidInput } from '../http/errors.ts';

/** A picture as it is kept. */
export interface Picture {
  /** SHA-256 of the file as it was sent. */
  readonly pictureId: string;
  readonly widthPx: number;
  readonly heightPx: number;
  /** As the camera wrote it, without a zone; null: it did not. */
  readonly taken: WrittenTime | null;
  readonly jpeg: Buffer;
  readonly thumb: Buffer;
}

export const LARGEST_FILE = 25 * 1024 * 1024;
/** More points than any camera here has: a small file can unpack to gigabytes. */
const MOST_PIXELS = 120_000_000;
/** Longest side kept, and of the small one. */
const SIDE_PX = 2560;
const THUMB_PX = 320;
/** What a row of a backup may hold with room to spare. */
const MOST_KEPT = 1_400_000;
const KINDS = ['jpeg', 'png', 'webp'];

const refuse = (code: string, got: string | null, accepts: string) =>
  invalidInput([{ field: 'file', code, got, accepts }]);
const TYPES = 'a JPEG, PNG or WebP picture';

/** HEIC by its first bytes, whatever it is called. */
const isHeic = (file: Buffer): boolean =>
  file.subarray(4, 8).toString('latin1') === 'ftyp' &&
  /^(heic|heix|hevc|mif1|msf1|heim|heis)/.test(file.subarray(8, 12).toString('latin1'));

/** What the camera says of when, by its own clock. */
function takenOf(exif: Buffer | undefined): WrittenTime | null {
  if (!exif) return null;
  try {
    const at = readExif(exif).Photo?.DateTimeOriginal;
    if (!(at instanceof Date) || Number.isNaN(at.getTime())) return null;
    return {
      year: at.getUTCFullYear(),
      month: at.getUTCMonth() + 1,
      day: at.getUTCDate(),
      hour: at.getUTCHours(),
      minute: at.getUTCMinutes(),
      second: at.getUTCSeconds(),
    };
  } catch {
    // A camera's odd note is no reason to lose the picture.
    return null;
  }
}

/**
 * Reads a picture by what it is and not by what it is called, turns it upright, takes everything off it but what is seen, and makes it no
 * larger than a screen shows. Refuses what is no picture, is cut off, or unpacks to more than any camera takes.
 */
export async function readPicture(file: Buffer): Promise<Picture> {
  if (isHeic(file))
    throw refuse(
      'picture-heic',
      'HEIC',
      `${TYPES}. On the phone: Settings, Camera, Formats, Most Compatible`,
    );
  const open = () => sharp(file, { failOn: 'warning', limitInputPixels: MOST_PIXELS, sequentialRead: true });
  const meta = await open()
    .metadata()
    .catch(() => null);
  if (!meta || !KINDS.includes(meta.format)) throw refuse('picture-type', meta ? meta.format : null, TYPES);
  if ((meta.pages ?? 1) > 1) throw refuse('picture-type', 'moving', `${TYPES} that stands still`);
  try {
    // Upright and in sRGB first; what is written then carries no note of where it was taken.
    const shrunk = (side: number) =>
      open().autoOrient().toColourspace('srgb').flatten({ background: '#ffffff' }).resize(side, side, {
        fit: 'inside',
        withoutEnlargement: true,
      });
    let jpeg: Buffer | null = null;
    let size = { width: 0, height: 0 };
    for (const [side, quality] of [
      [SIDE_PX, 84],
      [SIDE_PX, 70],
      [1920, 70],
      [1280, 70],
    ] as const) {
      const { data, info } = await shrunk(side)
        .jpeg({ quality, mozjpeg: true })
        .toBuffer({ resolveWithObject: true });
      jpeg = data;
      size = info;
      if (data.length <= MOST_KEPT) break;
    }
    const thumb = await sharp(jpeg!)
      .resize(THUMB_PX, THUMB_PX, { fit: 'inside' })
      .jpeg({ quality: 76 })
      .toBuffer();
    return {
      pictureId: createHash('sha256').update(file).digest('hex'),
      widthPx: size.width,
      heightPx: size.height,
      taken: takenOf(meta.exif),
      jpeg: jpeg!,
      thumb,
    };
  } catch {
    throw refuse(
      'picture-broken',
      null,
      `${TYPES} that is whole; this one is cut off, damaged or far too large`,
    );
  }
}
