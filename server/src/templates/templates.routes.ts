import { Router } from 'express';
import type { TemplatesResponse } from '@calvetta/contract';
import { surveyTemplate } from '@calvetta/contract/schemas';
import type { Deps } from '../deps.ts';
import { createOnce } from '../http/createOnce.ts';
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
    const isNew = await createOnce(
      sent,
      () => insertTemplate(deps.db, workshopId, sent),
      async () => (await listTemplates(deps.db, workshopId)).find((t) => t.templateId === sent.templateId),
    );
    if (isNew === null)
      throw invalidInput([
        { field: 'name', code: 'taken', got: sent.name, accepts: 'a name no other template has' },
      ]);
    res.status(isNew ? 201 : 200).json(sent);
  });
  router.delete('/templates/:templateId', async (req, res) => {
    if (!(await deleteTemplate(deps.db, await workshop(), req.params.templateId)))
      throw new AppError('not-found', { what: 'template', id: req.params.templateId });
    res.status(204).end();
  });
  return router;
}
