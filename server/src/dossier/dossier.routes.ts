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
import type { Beside, PictureOnPaper } from './dossierPdf.ts';

// What writes on paper weighs as much as the rest of the server together: it comes with the first paper that is asked for.
const dossierOnPaper = () => import('./dossierPdf.ts');

/** Printed at 250 points wide: more points than this only make the file heavy. */
const PICTURE_PX = 900;
const FORMS = ['pdf', 'csv', 'json'] as const;
/** One JSON a line. */
const LINES = 'application/x-ndjson';

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
      const dossier = await machineDossier(req.params.machineId);
      // A large one takes its time: whoever asks for lines is told how far it is.
      if (form === 'pdf' && req.accepts(['application/pdf', LINES]) === LINES)
        await answerInLines(deps, res, dossier);
      else await answer(deps, res, form, dossier);
    });
    router.get(`/parts/:partId/dossier.${form}`, async (req, res) => {
      await answer(deps, res, form, await partDossier(req.params.partId));
    });
  }
  /** Labels to stick or tie on: scanned, one opens its part. */
  const tags = async (
    req: Request,
    res: Response,
    parts: readonly Dossier['parts'][number]['detail'][],
  ): Promise<void> => {
    const { partTags } = await import('./partTags.ts');
    const paper = partTags(parts, `${req.protocol}://${req.get('host') ?? ''}`);
    res
      .type('application/pdf')
      .set({ 'Cache-Control': 'no-store', 'Content-Disposition': 'inline; filename="tags.pdf"' });
    paper.pipe(res);
  };
  router.get('/parts/:partId/tag.pdf', async (req, res) => {
    await tags(
      req,
      res,
      (await partDossier(req.params.partId)).parts.map((p) => p.detail),
    );
  });
  router.get('/machines/:machineId/tags.pdf', async (req, res) => {
    await tags(
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
    const { routeCard } = await import('./routeCard.ts');
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
  const { newPaper, writeDossier } = await dossierOnPaper();
  const paper = newPaper(d);
  res.type('application/pdf');
  try {
    const beside = await besideOf(deps, res, d);
    paper.doc.pipe(res);
    await writeDossier(paper, d, beside);
  } catch (error) {
    brokeOff(deps, res, error);
  }
}

/** What a dossier takes beside itself; it is given up when nobody waits for it any more. */
async function besideOf(
  deps: Deps,
  res: Response,
  d: Dossier,
  tell: (done: number) => void = () => undefined,
): Promise<Beside> {
  const { workshop } = (await needSnapshot(deps)).shop;
  const head = await signedHead(deps, workshop.workshopId, true);
  const known = await howKnownOf(
    deps.db,
    workshop.workshopId,
    d.parts.map((p) => p.detail.card.partId),
  );
  let done = 0;
  return {
    head,
    knownOf: (factId) => known.get(factId) ?? null,
    picturesOf: (p) => picturesOf(deps, p, d.zone),
    isGivenUp: async () => {
      tell(done++);
      // Others have their turn between two parts.
      await new Promise((next) => setImmediate(next));
      return res.destroyed;
    },
  };
}

/** How many bytes of a document go on one line. */
const LINE_BYTES = 96 * 1024;
/** How far it is, line by line (`{done, of}`), then the document itself (`{pdf}`, base64, in order), then `{isWhole: true}`. */
async function answerInLines(deps: Deps, res: Response, d: Dossier): Promise<void> {
  res.set('Cache-Control', 'no-store').type(LINES);
  const say = (line: object): void => void res.write(`${JSON.stringify(line)}\n`);
  const of = d.parts.length;
  const { newPaper, writeDossier } = await dossierOnPaper();
  const paper = newPaper(d);
  const chunks: Buffer[] = [];
  paper.doc.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise((done) => paper.doc.once('end', done));
  try {
    await writeDossier(paper, d, await besideOf(deps, res, d, (done) => say({ done, of })));
    await ended;
    if (res.destroyed) return;
    say({ done: of, of });
    const whole = Buffer.concat(chunks);
    for (let at = 0; at < whole.length; at += LINE_BYTES)
      say({ pdf: whole.subarray(at, at + LINE_BYTES).toString('base64') });
    say({ isWhole: true });
    res.end();
  } catch (error) {
    brokeOff(deps, res, error);
  }
}

/** Its head is sent: half a document must not look like a whole one. */
function brokeOff(deps: Deps, res: Response, error: unknown): void {
  deps.log.warn({ err: String(error) }, 'a dossier broke off');
  res.destroy();
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
