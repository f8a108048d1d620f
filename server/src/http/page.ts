import express, { Router } from 'express';
import staticGzip from 'express-static-gzip';
import { join } from 'node:path';

/** The built page: its files, and the one document for every path that is not a file's. */
export function pageOf(webFolder: string): Router {
  const page = Router();
  // A built file's name changes with what is in it, so it is kept for good; the build left a gzipped one beside each.
  page.use(
    '/assets',
    staticGzip(join(webFolder, 'assets'), { serveStatic: { immutable: true, maxAge: '1y', index: false } }),
    // Never the document: a script that is one cannot say what is wrong.
    (_req, res) => {
      res
        .status(404)
        .type('text/plain')
        .send('This file belongs to another version of the page. Load the page again.');
    },
  );
  page.use(express.static(webFolder, { index: false, maxAge: '1h' }));
  page.get('/{*path}', (_req, res) =>
    // By root: a checkout may stand below a folder whose name begins with a dot.
    res.set('Cache-Control', 'no-cache').sendFile('index.html', { root: webFolder }),
  );
  return page;
}
