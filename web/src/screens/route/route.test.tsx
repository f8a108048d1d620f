import { describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import {
  ACTS,
  advise,
  blankSurvey,
  DEFAULT_SCHOOLS,
  FULL_SHOP,
  stagesOf,
  surveyDoubts,
  type Survey,
} from '@calvetta/core';
import { SurfaceStrip } from '../../drawings/SurfaceStrip.tsx';
import { FAMILIES, PLAIN } from '../../../../core/src/route/test/given.ts';
import { EditSteps } from './EditSteps.tsx';
import { changed, remedyWords, wouldHold } from './reasons.ts';
import { RefusedStrip } from './RefusedStrip.tsx';
import { layersOfRoute, RouteCard } from './RouteCard.tsx';
import { isAsked, nothingUnusual } from '@calvetta/core';
import { shownAnswer } from './surveyWords.ts';
import { AreaDialog } from '../../dialogs/AreaDialog.tsx';
import { PracticeHere } from './PracticeHere.tsx';
import { drawPage } from '../../test/page.tsx';
import { SurveyPanel } from './SurveyPanel.tsx';
import { fromTemplate } from './Templates.tsx';
import { ZonesHere } from './ZonesHere.tsx';

const ask = (s: Survey) => advise({ survey: s, means: FULL_SHOP, families: FAMILIES });
const none = (): void => undefined;

describe('what a part does otherwise than the house', () => {
  it('is chosen and taken back, and leaves the rest to the house', () => {
    const given: Partial<Survey>[] = [];
    const draw = (s: Survey) =>
      render(<PracticeHere survey={s} house={DEFAULT_SCHOOLS} onAnswer={(p) => given.push(p)} />);
    const first = draw(blankSurvey('steel-plate'));
    fireEvent.change(screen.getByLabelText('Laid on by'), { target: { value: 'brush' } });
    expect(given[0]).toEqual({ practice: { tool: 'brush' } });
    first.unmount();
    draw({ ...blankSurvey('steel-plate'), practice: { tool: 'brush', etch: 'harden-scuff' } });
    expect(screen.getByText('2 against the house')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Laid on by'), { target: { value: '' } });
    expect(given[1]).toEqual({ practice: { etch: 'harden-scuff' } });
  });
  it('changes the route: brushed here though the house sprays', () => {
    const laidBy = (s: Survey) =>
      new Set(
        ask(s).routes.flatMap((r) => r.steps.flatMap((x) => (x.kind === 'topcoat' ? (x.tool ?? []) : []))),
      );
    expect([...laidBy(PLAIN)]).toEqual(['gun']);
    expect([...laidBy({ ...PLAIN, practice: { tool: 'brush' } })]).toEqual(['brush']);
  });
});

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

describe('a template', () => {
  it('brings its answers and leaves the part what is its own', () => {
    const own = { ...blankSurvey('cast-steel'), areaM2: 0.3, isPair: true };
    const made = fromTemplate(own, { ...PLAIN, rust: 'C' });
    expect(made).toMatchObject({
      rust: 'C',
      substrate: 'cast-steel',
      areaM2: 0.3,
      isPair: true,
      thicknessMm: 6,
    });
  });
});

describe('the survey sheet', () => {
  const draw = (s: Survey, onAnswer: (p: Partial<Survey>) => void = none) =>
    render(
      <SurveyPanel
        survey={s}
        advice={ask(s)}
        doubts={surveyDoubts(s, 7850)}
        house={DEFAULT_SCHOOLS}
        onAnswer={onAnswer}
      />,
    );
  it('asks first what opens most, and nothing when all is known', () => {
    const { unmount } = draw(blankSurvey('steel-plate'));
    expect(screen.getByText('Answer next: these open most')).toBeTruthy();
    unmount();
    draw(PLAIN);
    expect(screen.queryByText('Answer next: these open most')).toBeNull();
  });
  it('does not ask what cannot change anything', () => {
    expect(isAsked('coatKind', { ...PLAIN, coating: 'none' })).toBe(false);
    expect(isAsked('coatKind', { ...PLAIN, coating: 'sound' })).toBe(true);
    expect(isAsked('rust', { ...PLAIN, substrate: 'aluminium-cast' })).toBe(false);
    expect(isAsked('clearanceUm', { ...PLAIN, features: ['close-fit'] })).toBe(true);
  });
  it('hands over one answer at a time, and a figure that is none as not known', () => {
    const answers: Partial<Survey>[] = [];
    draw(PLAIN, (p) => answers.push(p));
    fireEvent.change(screen.getByLabelText('Rust'), { target: { value: 'D' } });
    fireEvent.change(screen.getByLabelText('Thickness, mm'), { target: { value: '4,5' } });
    fireEvent.change(screen.getByLabelText('Thickness, mm'), { target: { value: 'thin' } });
    fireEvent.click(screen.getByRole('button', { name: 'white metal' }));
    expect(answers).toEqual([
      { rust: 'D' },
      { thicknessMm: 4.5 },
      { thicknessMm: null },
      { features: ['white-metal'] },
    ]);
  });
  it('questions a contradiction', () => {
    draw({ ...PLAIN, areaM2: 90 });
    expect(screen.getByRole('alert').textContent).toContain('can that be?');
  });
  it('“nothing unusual” answers only what is open, and never what must be looked at', () => {
    const given = nothingUnusual({ ...blankSurvey('steel-plate'), fuel: 'yes' });
    expect(given).not.toHaveProperty('fuel');
    for (const f of ['rust', 'pits', 'coating', 'legacy', 'category', 'sun', 'oil'])
      expect(given).not.toHaveProperty(f);
    expect(nothingUnusual(PLAIN)).toEqual({});
  });
  it('shows an answer in words, and nothing where nothing is known', () => {
    expect(shownAnswer('rust', PLAIN)).toBe('B: scale flaking, rust begun');
    expect(shownAnswer('features', PLAIN)).toBe('none');
    expect(shownAnswer('sun', blankSurvey('steel-plate'))).toBeNull();
    expect(shownAnswer('otherMetal', PLAIN)).toBe('no');
  });
});

describe('reasons in words', () => {
  it('says what an answer opened and closed', () => {
    const c = changed(ask(PLAIN), ask({ ...PLAIN, phosphated: 'yes' }));
    expect(c.went).toContain('zinc-epoxy');
    expect(c.came).toEqual([]);
  });
  it('asks for an answer where none was given, for another where one was', () => {
    expect(remedyWords({ by: 'survey', field: 'heatC' }, blankSurvey('steel-plate'))).toBe(
      'an answer to “hottest in service, °C”',
    );
    expect(remedyWords({ by: 'survey', field: 'heatC' }, PLAIN)).toBe(
      'another answer to “hottest in service, °C”',
    );
    expect(remedyWords({ by: 'facility', facility: 'grit' }, PLAIN)).toBe('blasting, grit and fine media');
  });
  it('a refused family says what would make it hold', () => {
    const s: Survey = { ...PLAIN, colourUndecided: true };
    const gloss = ask(s).refused.find((r) => r.id === 'gloss-2k')!;
    expect(wouldHold(gloss, s, FULL_SHOP)).toContain('house practice: colour undecided');
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
  it('a card names its coats, its days, hours, cost and film, and opens to every step', () => {
    const route = advice.routes[0]!;
    drawPage(
      <RouteCard
        route={route}
        survey={PLAIN}
        rank={0}
        families={FAMILIES}
        fullUm={300}
        saidOnce={new Set()}
        onUse={none}
        onEdit={none}
        onTwin={none}
        isBusy={false}
      />,
    );
    const card = screen.getByRole('article');
    for (const l of route.choice.layers)
      expect(card.textContent).toContain(FAMILIES.get(l.familyId)!.sheet.name);
    expect(card.textContent).toContain(`${route.figures.hours.toFixed(1)} h`);
    expect(card.textContent).toContain(`€${route.figures.cost.toFixed(0)}`);
    expect(within(card).getAllByRole('listitem').length).toBeGreaterThan(route.steps.length);
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
        <RefusedStrip advice={ask(s)} survey={s} means={FULL_SHOP} families={FAMILIES} />
      </MemoryRouter>,
    );
    expect(
      screen.getAllByText(/A phosphate film keeps the zinc from touching the steel/).length,
    ).toBeGreaterThan(0);
    expect(screen.queryByText('Not known')).toBeNull();
  });
});

describe('what is on the metal', () => {
  it('the card draws the metal as found, after each act, and clean before the first coat', () => {
    const s: Survey = { ...PLAIN, rust: 'C', scale: 'yes' };
    const route = ask(s).routes[0]!;
    expect(stagesOf(s, route.steps)[0]!.standing).toContain('scale');
    render(<SurfaceStrip stages={stagesOf(s, route.steps)} widthPx={400} label="on the metal" />);
    const drawn = screen.getByRole('img', { name: 'on the metal' });
    expect(drawn.textContent).toContain('as found');
    expect(drawn.textContent).toContain('mill scale');
    expect(drawn.textContent).toContain('clean');
  });
  it('a hot manifold is a zone: added, made hot, taken out', () => {
    const given: Partial<Survey>[] = [];
    const draw = (s: Survey) => render(<ZonesHere survey={s} onAnswer={(p) => given.push(p)} />);
    const first = draw(PLAIN);
    fireEvent.change(screen.getByLabelText('Name of a new zone'), { target: { value: 'Manifold' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(given[0]!.zones![0]).toMatchObject({ name: 'Manifold', kind: 'outside', heatC: 40 });
    first.unmount();
    draw({ ...PLAIN, zones: given[0]!.zones! });
    fireEvent.change(screen.getByLabelText('Hottest of Manifold, °C'), { target: { value: '550' } });
    expect(given[1]!.zones![0]!.heatC).toBe(550);
    fireEvent.click(screen.getByRole('button', { name: 'take out' }));
    expect(given[2]).toEqual({ zones: [] });
  });
});

describe('editing steps', () => {
  const draw = (s: Survey) =>
    render(
      <MemoryRouter>
        <EditSteps
          survey={s}
          means={FULL_SHOP}
          families={FAMILIES}
          steps={ask(s).routes[0]!.steps}
          isBusy={false}
          onClose={none}
          onSet={none}
        />
      </MemoryRouter>,
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
    render(
      <MemoryRouter>
        <EditSteps
          survey={PLAIN}
          means={FULL_SHOP}
          families={FAMILIES}
          steps={ask(PLAIN).routes[0]!.steps}
          isBusy={false}
          onClose={none}
          onSet={(_s, reason) => set.push(reason)}
        />
      </MemoryRouter>,
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
});
