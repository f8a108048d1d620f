import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { blankSurvey } from '@calvetta/core';
import { startTestApp, type TestApp } from '../test/testApp.ts';

let app: TestApp;
beforeAll(async () => {
  app = await startTestApp();
});
afterAll(() => app.close());

const spring = { ...blankSurvey('steel-plate'), rust: 'C' as const, thicknessMm: 8 };
const steps = [
  { stepId: 'a', kind: 'degrease', coats: 0, dftUm: null, hours: 1, waitHours: 0, cautions: ['solvent'] },
];
const body = { templateId: 't1', name: 'leaf of a spring', survey: spring, steps };
const list = async () => (await app.call('GET', '/api/templates')).body.templates;

describe('surveys kept under a name', () => {
  it('is kept once, however often it is sent, and comes back whole', async () => {
    expect((await app.post('/api/templates', body)).status).toBe(201);
    expect((await app.post('/api/templates', body)).status).toBe(200);
    expect(await list()).toEqual([body]);
  });
  it('another content under its id is a conflict with both, another id under its name is refused', async () => {
    const other = await app.post('/api/templates', { ...body, survey: { ...spring, rust: 'D' } });
    expect(other).toMatchObject({ status: 409, body: { details: { stored: body } } });
    const named = await app.post('/api/templates', { ...body, templateId: 't2' });
    expect(named).toMatchObject({ status: 400, body: { details: { problems: [{ field: 'name' }] } } });
    expect(await list()).toEqual([body]);
  });
  it('a survey with a wrong answer is refused by its field', async () => {
    const r = await app.post('/api/templates', {
      ...body,
      templateId: 't3',
      survey: { ...spring, rust: 'F' },
    });
    expect(r).toMatchObject({ status: 400, body: { details: { problems: [{ field: 'survey.rust' }] } } });
  });
  it('a survey from before a question was asked reads as not known', async () => {
    const older = Object.fromEntries(
      Object.entries(spring).filter(([k]) => k !== 'glue' && k !== 'practice'),
    );
    await app.db.query(
      `insert into survey_template (workshop_id, template_id, name, survey) select workshop_id, 'old', 'an older one', $1 from workshop`,
      [JSON.stringify(older)],
    );
    const found = (await list()).find((t: { templateId: string }) => t.templateId === 'old');
    expect(found.survey).toMatchObject({ glue: 'unknown', practice: {}, rust: 'C' });
    expect(found.steps).toBeNull();
  });
  it('steps are kept with it, or none; steps that are none are refused by their place', async () => {
    const alone = { templateId: 't4', name: 'survey alone', survey: spring };
    expect((await app.post('/api/templates', alone)).status).toBe(201);
    expect((await list()).find((t: { templateId: string }) => t.templateId === 't4').steps).toBeNull();
    const r = await app.post('/api/templates', {
      ...body,
      templateId: 't5',
      name: 'bad',
      steps: [{ kind: 'pray' }],
    });
    expect(r.status).toBe(400);
    expect(r.body.details.problems[0].field).toMatch(/^steps/);
  });
  it('is taken away once', async () => {
    expect((await app.call('DELETE', '/api/templates/t1')).status).toBe(204);
    expect((await app.call('DELETE', '/api/templates/t1')).status).toBe(404);
  });
  it('the public format of a sheet is there to read', async () => {
    const r = await app.call('GET', '/api/schemas/sheet.json');
    expect(r).toMatchObject({ status: 200, body: { title: 'Product sheet' } });
  });
});
