import compression from 'compression';
import express, { type Express, type Router } from 'express';
import helmet from 'helmet';
import { backupRoutes } from './backup/backup.routes.ts';
import { careRoutes } from './aftercare/care.routes.ts';
import { accountsRoutes } from './door/accounts.routes.ts';
import { doorRoutes } from './door/door.routes.ts';
import { byPin, guard, keepHash } from './door/guard.ts';
import { benchRoutes } from './bench/bench.routes.ts';
import type { Deps } from './deps.ts';
import { dossierRoutes } from './dossier/dossier.routes.ts';
import { factsRoutes } from './facts/facts.routes.ts';
import { inBounds, PLAIN } from './http/bounds.ts';
import { AppError, errorHandler } from './http/errors.ts';
import { contentTypes, frontDoor } from './http/frontDoor.ts';
import { pageOf } from './http/page.ts';
import { roomToWrite } from './http/roomToWrite.ts';
import { importsRoutes } from './imports/imports.routes.ts';
import { inspectRoutes } from './inspect/inspect.routes.ts';
import { ledgerRoutes } from './ledger/ledger.routes.ts';
import { signOffRoutes } from './ledger/signOff.routes.ts';
import { notOlder } from './model/notOlder.ts';
import { partsRoutes } from './parts/parts.routes.ts';
import { feedRoutes } from './plan/feed.routes.ts';
import { planRoutes } from './plan/plan.routes.ts';
import { picturesRoutes } from './pictures/pictures.routes.ts';
import { placesRoutes } from './readings/places.routes.ts';
import { readingsRoutes } from './readings/readings.routes.ts';
import { packsRoutes } from './shelf/packs.routes.ts';
import { shelfRoutes } from './shelf/shelf.routes.ts';
import { serviceRoutes } from './live/service.routes.ts';
import { sheetsRoutes } from './shop/sheets.routes.ts';
import { templatesRoutes } from './templates/templates.routes.ts';
import { shopRoutes } from './shop/shop.routes.ts';
import { thingsRoutes } from './things/things.routes.ts';

/** Every subject's doors, but imports, which take larger bodies. */
export const routersOf = (deps: Deps): Router[] =>
  [
    serviceRoutes,
    doorRoutes,
    accountsRoutes,
    shopRoutes,
    sheetsRoutes,
    benchRoutes,
    partsRoutes,
    thingsRoutes,
    placesRoutes,
    readingsRoutes,
    factsRoutes,
    templatesRoutes,
    planRoutes,
    feedRoutes,
    inspectRoutes,
    picturesRoutes,
    shelfRoutes,
    packsRoutes,
    backupRoutes,
    ledgerRoutes,
    signOffRoutes,
    dossierRoutes,
    careRoutes,
  ].map((routes) => routes(deps));

const TABLE = ['application/json', 'text/csv'];
/** Doors that take something else than JSON. */
const TYPES: Readonly<Record<string, readonly string[]>> = {
  '/import/readings': TABLE,
  '/import/forecast': TABLE,
  '/pictures': ['multipart/form-data'],
};

/** The application as a value: everything it needs comes in as `deps`. `webFolder` holds the built page, or null for none. */
export function createApp(deps: Deps, webFolder: string | null): Express {
  const app = express();
  app.disable('x-powered-by');
  // Plain http on a workshop's own network: no upgrade to https, and styles set by the drawings.
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'style-src': ["'self'", "'unsafe-inline'"],
          'font-src': ["'self'", 'data:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  if (deps.door.trustProxy !== null) app.set('trust proxy', deps.door.trustProxy);
  app.use(frontDoor(deps.publicOrigin));
  app.use('/api', guard(deps));
  app.use('/api', contentTypes(TYPES));
  app.use('/api', roomToWrite(deps.freeBytes, deps.nowMs));
  app.use('/api', importsRoutes(deps));
  app.use('/api', express.json({ limit: '1mb', verify: keepHash }), inBounds(PLAIN), byPin(deps));
  // Answers about a whole shop are large and repeat themselves; what is said as it happens is not held back for it.
  app.use(
    '/api',
    compression({
      filter: (req, res) => !req.originalUrl.startsWith('/api/live') && compression.filter(req, res),
    }),
  );
  app.use('/api', notOlder(deps));
  for (const router of routersOf(deps)) app.use('/api', router);
  app.use('/api', (req) => {
    throw new AppError('not-found', { what: 'route', path: req.path });
  });
  if (webFolder !== null) app.use(pageOf(webFolder));
  app.use(errorHandler(deps.log));
  return app;
}
