import { Router, type Request, type Response } from 'express';
import sharp from 'sharp';
import { dossierOf, partDetail, type Dossier, type DossierPart } from '@calvetta/core';
import type { Deps } from '../deps.ts';
import { AppError } from '../http/errors.ts';
import { howKnownOf } from '../ledger/ledger.sql.ts';
import { signedHead } from '../ledger/keepHeads.ts';
import { findPicture } from '../pictures/pictures.sql.ts';
import { needSnapshot } from '../shop/needShop.ts';
import { dossierCsv } from './dossierCsv.ts';
import { routeCard } from './routeCard.ts';
import { partTags } from './partTags.ts';
import { newPaper, writeDossier, type PictureOnPaper } from './dossierPdf.ts';

/** Printed at 250 points wide: more points than this only make the file heavy. */
const PICTURE_PX = 900;
const FORMS = ['pdf', 'csv', 'json'] as const;

/** A machine or a part with all that is known of it, on paper and as data. */
export function dossierRoutes(deps: Deps): Router {
  const router = Router();
  const machineDossier = async (machineId: string): Promise<Dossier> => {
    const snapshot = await needSnapshot(deps);
    const machine = snapshot.shop.machines.find((m) => m.machineId === machineId);
    if (!machine) throw new AppError('not-found', { what: 'machine', id: machineId });
    const parts = [...snapshot.parts.values()].filter((p) => p.row.machineId === machineId && !p.row.isAway);
    return dossierOf(snapshot, machine.name, parts);
  };
  const partDossier = async (partId: string): Promise<Dossier> => {
    const snapshot = await needSnapshot(deps);
    const part = snapshot.parts.get(partId);
    if (!part) throw new AppError('not-found', { what: 'part', id: partId });
    return dossierOf(snapshot, part.row.name, [part]);
  };
  for (const form of FORMS) {
    router.get(`/machines/:machineId/dossier.${form}`, async (req, res) => {
      await answer(deps, res, form, await machineDossier(req.params.machineId));
    });
    router.get(`/parts/:partId/dossier.${form}`, async (req, res) => {
      await answer(deps, res, form, await partDossier(req.params.partId));
    });
  }
  /** Labels to stick or tie on: scanned, one opens its part. */
  const tags = (req: Request, res: Response, parts: readonly Dossier['parts'][number]['detail'][]): void => {
    const paper = partTags(parts, `${req.protocol}://${req.get('host') ?? ''}`);
    res
      .type('application/pdf')
      .set({ 'Cache-Control': 'no-store', 'Content-Disposition': 'inline; filename="tags.pdf"' });
    paper.pipe(res);
  };
  router.get('/parts/:partId/tag.pdf', async (req, res) => {
    tags(
      req,
      res,
      (await partDossier(req.params.partId)).parts.map((p) => p.detail),
    );
  });
  router.get('/machines/:machineId/tags.pdf', async (req, res) => {
    tags(
      req,
      res,
      (await machineDossier(req.params.machineId)).parts.map((p) => p.detail),
    );
  });
  /** The route of a part on one sheet, for the bench. */
  router.get('/parts/:partId/card.pdf', async (req, res) => {
    const snapshot = await needSnapshot(deps);
    const part = snapshot.parts.get(req.params.partId);
    if (!part) throw new AppError('not-found', { what: 'part', id: req.params.partId });
    const { shop } = snapshot;
    const detail = partDetail(snapshot, part);
    const paper = routeCard(detail, (id) => shop.sheets.get(id), shop.workshop.name);
    res.type('application/pdf').set({
      'Cache-Control': 'no-store',
      'Content-Disposition': `inline; filename="${slug(part.row.name)}-card.pdf"`,
    });
    paper.doc.pipe(res);
  });
  return router;
}

const slug = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'dossier';

async function answer(deps: Deps, res: Response, form: (typeof FORMS)[number], d: Dossier): Promise<void> {
  res.set({
    'Cache-Control': 'no-store',
    'Content-Disposition': `${form === 'pdf' ? 'inline' : 'attachment'}; filename="${slug(d.title)}.${form}"`,
  });
  if (form === 'json') {
    res.json(d);
    return;
  }
  if (form === 'csv') {
    res.type('text/csv').send(dossierCsv(d));
    return;
  }
  const { workshop } = (await needSnapshot(deps)).shop;
  const head = await signedHead(deps, workshop.workshopId, true);
  const known = await howKnownOf(
    deps.db,
    workshop.workshopId,
    d.parts.map((p) => p.detail.card.partId),
  );
  const paper = newPaper(d);
  res.type('application/pdf');
  paper.doc.pipe(res);
  try {
    await writeDossier(paper, d, {
      head,
      knownOf: (factId) => known.get(factId) ?? null,
      picturesOf: (p) => picturesOf(deps, p, d.zone),
      isGivenUp: async () => {
        // Others have their turn between two parts.
        await new Promise((next) => setImmediate(next));
        return res.destroyed;
      },
    });
  } catch (error) {
    // Its head is sent: half a document must not look like a whole one.
    deps.log.warn({ err: String(error) }, 'a dossier broke off');
    res.destroy();
  }
}

/** The first picture from before and the last from after, no larger than they are printed. */
async function picturesOf(deps: Deps, part: DossierPart, zone: string): Promise<PictureOnPaper[]> {
  const before = part.pictures.find((p) => p.body.stage === 'before');
  const after = part.pictures.findLast((p) => p.body.stage === 'after');
  const out: PictureOnPaper[] = [];
  for (const p of [before, after]) {
    if (!p) continue;
    const stored = await findPicture(deps.db, p.body.pictureId, 'jpeg');
    if (!stored) continue;
    const jpeg = await sharp(stored)
      .resize({ width: PICTURE_PX, withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer();
    const day = new Intl.DateTimeFormat('en-GB', { timeZone: zone, dateStyle: 'medium' }).format(
      p.happenedAtMs,
    );
    out.push({ jpeg, words: [p.body.stage, day, p.body.note].filter((w) => w !== undefined).join(', ') });
  }
  return out;
}
