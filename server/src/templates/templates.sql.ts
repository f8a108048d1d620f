import { wholeSurvey, type RouteStep, type Survey } from '@calvetta/core';
import type { SurveyTemplate } from '@calvetta/contract';
import type { Db } from '../db/db.ts';

interface Row {
  readonly template_id: string;
  readonly name: string;
  readonly survey: Survey;
  readonly steps: readonly RouteStep[] | null;
}

export async function listTemplates(db: Db, workshopId: string): Promise<SurveyTemplate[]> {
  const { rows } = await db.query<Row>(
    'select template_id, name, survey, steps from survey_template where workshop_id = $1 order by name',
    [workshopId],
  );
  return rows.map((r) => ({
    templateId: r.template_id,
    name: r.name,
    survey: wholeSurvey(r.survey),
    steps: r.steps,
  }));
}

/** Stores one; false when its id or its name is taken. */
export async function insertTemplate(db: Db, workshopId: string, t: SurveyTemplate): Promise<boolean> {
  const r = await db.query(
    `insert into survey_template (workshop_id, template_id, name, survey, steps) values ($1, $2, $3, $4, $5) on conflict do nothing`,
    [workshopId, t.templateId, t.name, JSON.stringify(t.survey), t.steps && JSON.stringify(t.steps)],
  );
  return r.rowCount === 1;
}

export async function deleteTemplate(db: Db, workshopId: string, templateId: string): Promise<boolean> {
  const r = await db.query('delete from survey_template where workshop_id = $1 and template_id = $2', [
    workshopId,
    templateId,
  ]);
  return r.rowCount === 1;
}
