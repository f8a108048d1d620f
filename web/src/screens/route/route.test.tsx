import { describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { ACTS, advise, blankSurvey, FULL_SHOP, stagesOf, type Survey } from '@calvetta/core';
import { FAMILIES, PLAIN } from '../../../../core/src/route/test/given.ts';
import { stageWords, standingWords } from '../../drawings/StageColumn.tsx';
import { EditSteps } from './editor/EditSteps.tsx';
import { remedyWords, wouldHold } from './reasons.ts';
import { RefusedStrip } from './RefusedStrip.tsx';
import { layersOfRoute } from './layers.ts';
import { Rivals } from './Rivals.tsx';
import { AreaDialog } from '../../dialogs/AreaDialog.tsx';
import { drawPage } from '../../test/page.tsx';

const ask = (s: Survey) => advise({ survey: s, means: FULL_SHOP, families: FAMILIES });
const none = (): void => undefined;

describe('the area worked out', () => {
  const draw = (s: Survey, onUse: (m2: number) => void = none) =>
    render(<AreaDialog survey={s} onUse={onUse} onClose={none} />);
  it('shapes are added up by what is typed; what is missing is asked for by its field', () => {
    const used: number[] = [];
    draw(PLAIN, (m2) => used.push(m2));
    expect(screen.getByRole('status').textContent).toContain('not given yet');
    fireEvent.change(screen.getByLabelText('Length'), { target: { value: '500' } });
    fireEvent.change(screen.getByLabelText('Width'), { target: { value: '400' } });
    fireEvent.click(screen.getByText('Use this area'));
    // 2 faces of 0.5 × 0.4 m.
    expect(used[0]).toBeCloseTo(0.4, 9);
  });
  it('offers mass and wall where both are known: 18 kg of 6 mm plate is 0.76 m²', () => {
    draw(PLAIN);
    expect(screen.getByText(/By mass and wall: 0\.76/)).toBeTruthy();
  });
  it('a casting has more surface than its shapes', () => {
    const used: number[] = [];
    draw({ ...PLAIN, substrate: 'grey-iron' }, (m2) => used.push(m2));
    fireEvent.change(screen.getByLabelText('Length'), { target: { value: '500' } });
    fireEvent.change(screen.getByLabelText('Width'), { target: { value: '400' } });
    fireEvent.click(screen.getByText('Use this area'));
    expect(used[0]).toBeCloseTo(0.4 * 1.3, 9);
  });
});

describe('reasons in words', () => {
  it('asks for an answer where none was given, for another where one was', () => {
    expect(remedyWords({ by: 'survey', field: 'heatC' }, blankSurvey('steel-plate'))).toBe(
      'an answer to “hottest in service”',
    );
    expect(remedyWords({ by: 'survey', field: 'heatC' }, PLAIN)).toBe(
      'another answer to “hottest in service”',
    );
    expect(remedyWords({ by: 'facility', facility: 'grit' }, PLAIN)).toBe('blasting, grit and fine media');
  });
  it('a refused family says what would make it hold', () => {
    const s: Survey = { ...PLAIN, colourUndecided: true };
    const gloss = ask(s).refused.find((r) => r.id === 'gloss-2k')!;
    expect(wouldHold(gloss, s, FULL_SHOP)).toContainEqual({
      by: 'practice',
      practice: { undecided: 'whole-system' },
      words: 'house practice: colour undecided, whole system, tint later',
    });
  });
  it('what is known of the part is not asked to be otherwise: zinc on aluminium offers no answer about heat', () => {
    const s: Survey = { ...PLAIN, substrate: 'aluminium-cast', rust: 'none' };
    const zinc = ask(s).refused.find((r) => r.id === 'zinc-epoxy')!;
    expect(zinc.reasons.map((r) => r.ruleId)).toContain('zinc.steel-only');
    expect(wouldHold(zinc, s, FULL_SHOP)).toEqual([]);
  });
});

describe('rivals and what was refused', () => {
  const advice = ask(PLAIN);
  const draw = (s: Survey, used: string[] = []) =>
    drawPage(
      <Rivals
        advice={ask(s)}
        survey={s}
        families={FAMILIES}
        isBusy={false}
        onUse={(r) => used.push(r.routeId)}
        onEdit={none}
        onTwin={none}
      />,
    );
  it('each rival shows its coats, its days, hours and cost; the chosen one opens to every step', () => {
    draw(PLAIN);
    advice.routes.forEach((route) => {
      const column = document.querySelector(`[data-route="${route.routeId}"]`)!;
      for (const l of route.choice.layers)
        expect(column.textContent).toContain(FAMILIES.get(l.familyId)!.sheet.name);
      expect(column.textContent).toContain(`${route.figures.hours.toFixed(1)} h`);
      expect(column.textContent).toContain(`€${route.figures.cost.toFixed(0)}`);
    });
    const detail = screen.getByRole('article');
    expect(within(detail).getAllByRole('listitem').length).toBeGreaterThan(advice.routes[0]!.steps.length);
  });
  it('a touch on a rival reads it, and that one is used', () => {
    const used: string[] = [];
    draw(PLAIN, used);
    fireEvent.click(screen.getAllByRole('radio')[2]!);
    expect(screen.getByRole('article').getAttribute('aria-label')).toContain(
      FAMILIES.get(advice.routes[2]!.choice.layers[0]!.familyId)!.sheet.name,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Use this route' }));
    expect(used).toEqual([advice.routes[2]!.routeId]);
  });
  it('a loss stands at its level: hours more in the preparation are not said of the coats', () => {
    draw(PLAIN);
    const byHand = advice.routes.findIndex((r, i) => i > 0 && r.way === 'hand');
    const [lead, hand] = [advice.routes[0]!, advice.routes[byHand]!];
    const sameCoats = JSON.stringify(lead.choice.layers) === JSON.stringify(hand.choice.layers);
    expect(sameCoats).toBe(true);
    const column = screen.getAllByRole('radio')[byHand]!;
    const [coats, preparation] = [...column.children].filter((c) =>
      /before the first coat| by gun/.test(c.textContent),
    );
    expect(coats!.textContent).not.toMatch(/[+−]\d.* h/);
    expect(preparation!.textContent).toMatch(/before the first coat/);
  });
  it('draws one band for every coat, none for cavity wax', () => {
    const boxed = ask({ ...PLAIN, features: ['box-section'] }).routes[0]!;
    const coats = boxed.choice.layers.reduce((sum, l) => sum + l.coats, 0);
    expect(layersOfRoute(boxed.steps, FAMILIES).length).toBe(coats);
  });
  it('the refused strip names the rule, and keeps what waits for an answer to one line', () => {
    const s: Survey = { ...PLAIN, phosphated: 'yes', sun: 'unknown' };
    render(
      <MemoryRouter>
        <RefusedStrip
          advice={ask(s)}
          survey={s}
          means={FULL_SHOP}
          families={FAMILIES}
          onAsk={none}
          onAnswer={none}
          onLook={none}
        />
      </MemoryRouter>,
    );
    expect(
      screen.getAllByText(/A phosphate film keeps the zinc from touching the steel/).length,
    ).toBeGreaterThan(0);
    expect(screen.queryByText('Not known')).toBeNull();
  });
  it('the act that would mend a refusal is one press: house practice is changed here', () => {
    const s: Survey = { ...PLAIN, colourUndecided: true };
    const answers: Partial<Survey>[] = [];
    render(
      <MemoryRouter>
        <RefusedStrip
          advice={ask(s)}
          survey={s}
          means={FULL_SHOP}
          families={FAMILIES}
          onAsk={none}
          onAnswer={(p) => answers.push(p)}
          onLook={none}
        />
      </MemoryRouter>,
    );
    const gloss = document.querySelector<HTMLElement>('[data-refused="gloss-2k"]')!;
    fireEvent.click(
      within(gloss).getByRole('button', {
        name: 'house practice: colour undecided, whole system, tint later',
      }),
    );
    expect(answers).toEqual([{ practice: { undecided: 'whole-system' } }]);
  });
});

describe('what is on the metal', () => {
  it('a rival draws the metal as found, after each act, and clean before the first coat', () => {
    const s: Survey = { ...PLAIN, rust: 'C', scale: 'yes' };
    const route = ask(s).routes[0]!;
    const stages = stagesOf(s, route.steps);
    expect(stages[0]!.standing).toContain('scale');
    expect(standingWords(stages[0]!)).toContain('mill scale');
    expect(standingWords(stages[stages.length - 1]!)).toBe('clean');
    drawPage(
      <Rivals
        advice={ask(s)}
        survey={s}
        families={FAMILIES}
        isBusy={false}
        onUse={none}
        onEdit={none}
        onTwin={none}
      />,
    );
    const column = screen.getAllByRole('radio')[0]!;
    for (const stage of stages) expect(column.textContent).toContain(stageWords(stage));
  });
});

describe('editing steps', () => {
  const draw = (s: Survey) =>
    drawPage(
      <EditSteps
        survey={s}
        means={FULL_SHOP}
        families={FAMILIES}
        steps={ask(s).routes[0]!.steps}
        isBusy={false}
        onClose={none}
        onSet={none}
      />,
    );
  it('the strip step taken out of rusty plate: what stands is named, and one press puts it back', () => {
    draw({ ...PLAIN, rust: 'C' });
    const strip = ask({ ...PLAIN, rust: 'C' }).routes[0]!.steps.findIndex((s) => s.kind === 'strip') + 1;
    fireEvent.click(screen.getByRole('button', { name: `Take step ${strip} out` }));
    expect(screen.getByText(/Loose rust still stands under/)).toBeTruthy();
    fireEvent.click(screen.getAllByRole('button', { name: /^Put in: / })[0]!);
    expect(screen.queryByText(/Loose rust still stands under/)).toBeNull();
  });
  it('a matter of life and limb has no field for a reason', () => {
    draw({ ...PLAIN, coating: 'unsound', coatKind: 'one-pack', legacy: 'lead' });
    fireEvent.change(screen.getByLabelText('Put in'), {
      target: { value: String(ACTS.findIndex((a) => a.actId === 'disc')) },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Put it in' }));
    expect(screen.getByText(/no reason lifts it/)).toBeTruthy();
    expect(screen.queryByLabelText('Why it is done all the same')).toBeNull();
  });
  it('judges every change at once; against a rule it wants a reason', () => {
    const set: (string | null)[] = [];
    drawPage(
      <EditSteps
        survey={PLAIN}
        means={FULL_SHOP}
        families={FAMILIES}
        steps={ask(PLAIN).routes[0]!.steps}
        isBusy={false}
        onClose={none}
        onSet={(_s, reason) => set.push(reason)}
      />,
    );
    expect(screen.getByText('No rule is against it.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take step 1 out' }));
    expect(screen.getByText(/Degrease before any abrasive/)).toBeTruthy();
    const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Set it against the rules' });
    expect(button.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why it is done all the same'), {
      target: { value: 'washed elsewhere' },
    });
    fireEvent.click(button);
    expect(set).toEqual(['washed elsewhere']);
  });
  it('a change can be taken back and done again, by button and by keys; a film that is none is not taken', () => {
    draw(PLAIN);
    const film = () => screen.getAllByLabelText<HTMLInputElement>(/^Film of step/)[0]!;
    const was = film().value;
    fireEvent.change(film(), { target: { value: '6 mil' } });
    fireEvent.blur(film());
    // 6 mil are 152.4 µm (25.4 µm a mil, exact).
    expect(film().value).toBe('152 µm');
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(film().value).toBe(was);
    fireEvent.keyDown(film(), { key: 'z', ctrlKey: true, shiftKey: true });
    expect(film().value).toBe('152 µm');
    fireEvent.change(film(), { target: { value: 'thick' } });
    expect(film().getAttribute('aria-invalid')).toBe('true');
    fireEvent.blur(film());
    expect(film().value).toBe('152 µm');
  });
  it('what a rule says stands at the step it is about', () => {
    draw(PLAIN);
    const first = (): HTMLElement => screen.getAllByLabelText(/^Product of step/)[0]!;
    fireEvent.change(first(), { target: { value: 'chromate-primer' } });
    expect(within(first().closest('li')!).getByText(/licensed use only/)).toBeTruthy();
  });
});
