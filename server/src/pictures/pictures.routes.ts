import { Router, type RequestHandler } from 'express';
import multer, { MulterError } from 'multer';
import { instantsOf, isTime, type WrittenTime } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { needShop } from '../shop/needShop.ts';
import { write } from '../write.ts';
import { findPicture, insertPicture } from './pictures.sql.ts';
import { LARGEST_FILE, readPicture } from './readPicture.ts';

const upload = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: LARGEST_FILE, files: 1, fields: 4, fieldSize: 200, parts: 6 },
}).single('file');

/** One file of a form, in memory; what multer refuses said in our words. */
const oneFile: RequestHandler = (req, res, next) => {
  upload(req, res, (error: unknown) => {
    if (error instanceof MulterError)
      next(
        error.code === 'LIMIT_FILE_SIZE'
          ? new AppError('too-large', { maxBytes: LARGEST_FILE })
          : invalidInput([
              { field: 'file', code: 'form', got: error.code, accepts: 'one picture as “file”' },
            ]),
      );
    else if (error)
      next(
        invalidInput([
          { field: 'file', code: 'form', got: null, accepts: 'a form with one picture as “file”' },
        ]),
      );
    else next();
  });
};

/** Camera time is written without a zone: it is taken for the shop's; one that no clock there ever showed is not known. */
function takenAtOf(written: WrittenTime | null, zone: string): Date | null {
  const [atMs] = written && isTime(written) ? instantsOf(zone, written) : [];
  return atMs === undefined ? null : new Date(atMs);
}

export function picturesRoutes(deps: Deps): Router {
  const router = Router();
  router.post('/pictures', oneFile, async (req, res) => {
    const shop = await needShop(deps);
    if (!req.file)
      throw invalidInput([
        { field: 'file', code: 'any.required', got: null, accepts: 'one picture as “file”' },
      ]);
    const p = await readPicture(req.file.buffer);
    const takenAt = takenAtOf(p.taken, shop.workshop.zone);
    const isNew = await write(
      deps,
      (tx) => insertPicture(tx, shop.workshop.workshopId, p, takenAt, new Date(deps.nowMs())),
      // Nothing is derived from a picture: the entry that names it is what others hear of.
      () => null,
    );
    res.status(isNew ? 201 : 200).json({
      pictureId: p.pictureId,
      widthPx: p.widthPx,
      heightPx: p.heightPx,
      takenAtMs: takenAt?.getTime() ?? null,
    });
  });
  for (const [path, column] of [
    ['/pictures/:pictureId', 'jpeg'],
    ['/pictures/:pictureId/thumb', 'thumb'],
  ] as const)
    router.get(path, async (req, res) => {
      const id = req.params.pictureId;
      const bytes = await findPicture(deps.db, id, column);
      if (!bytes) throw new AppError('not-found', { what: 'picture', id });
      // Named by what it holds: it never changes.
      res.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(bytes);
    });
  return router;
}
