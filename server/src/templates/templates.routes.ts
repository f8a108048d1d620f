import { isDeepStrictEqual } from 'node:util';
import { Router } from 'express';
import type { TemplatesResponse } from '@calvetta/contract';
import { surveyTemplate } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { AppError, invalidInput } from '../http/errors.ts';
import { valid } from '../http/validate.ts';
import { needShop } from '../shop/needShop.ts';
import { deleteTemplate, insertTemplate, listTemplates } from './templates.sql.ts';

/** Surveys kept under a name. Sent again under its id it is the same one; a name is given once. */
export function templatesRoutes(deps: Deps): Router {
  const router = Router();
  const workshop = async (): Promise<string> => (await needShop(deps)).workshop.workshopId;
  router.get('/templates', async (_req, res) => {
    res.json({ templates: await listTemplates(deps.db, await workshop()) } satisfies TemplatesResponse);
  });
  router.post('/templates', async (req, res) => {
    const sent = valid(surveyTemplate, req.body);
    const workshopId = await workshop();
    if (await insertTemplate(deps.db, workshopId, sent)) {
      res.status(201).json(sent);
      return;
    }
    const known = (await listTemplates(deps.db, workshopId)).find((t) => t.templateId === sent.templateId);
    if (known && isDeepStrictEqual(known, sent)) {
      res.json(known);
      return;
    }
    if (known) throw new AppError('version-conflict', { stored: known, sent });
    throw invalidInput([
      { field: 'name', code: 'taken', got: sent.name, accepts: 'a name no other template has' },
    ]);
  });
  router.delete('/templates/:templateId', async (req, res) => {
    if (!(await deleteTemplate(deps.db, await workshop(), req.params.templateId)))
      throw new AppError('not-found', { what: 'template', id: req.params.templateId });
    res.status(204).end();
  });
  return router;
}
