import { describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen, within } from '@testing-library/react';
import {
  advise,
  answered,
  blankSurvey,
  DEFAULT_SCHOOLS,
  FULL_SHOP,
  isAsked,
  METRIC,
  movesOf,
  nothingUnusual,
  PART_KINDS,
  SURVEY_GROUPS,
  SURVEY_SHAPES,
  surveyDoubts,
  withKind,
  type AskedField,
  type Survey,
} from '@calvetta/core';
import { FAMILIES, PLAIN } from '../../../../core/src/route/test/given.ts';
import { KIND_LINES } from '../../drawings/kindPaths.ts';
import { KindPicker } from './KindPicker.tsx';
import { Questions } from './Questions.tsx';
import { PracticeHere } from './PracticeHere.tsx';
import { saidWords } from './said.ts';
import { KEYS } from '../../api/keys.ts';
import { drawPage, SHOP } from '../../test/page.tsx';
import { SurveyPanel } from './SurveyPanel.tsx';
import { shownAnswer } from './surveyWords.ts';
import { fromTemplate } from './Templates.tsx';
import { readFigure } from './figures.ts';
import type { Said } from './useSurvey.ts';
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

describe('what is asked next', () => {
  const s: Survey = {
    ...blankSurvey('steel-plate'),
    ...({ coating: 'none', rust: 'B', oil: 'none', category: 'C3' } as const),
  };
  const advice = ask(s);
  const sheet = (worth: ReadonlyMap<AskedField, number>) => (
    <Questions
      survey={s}
      advice={advice}
      families={FAMILIES}
      worth={worth}
      said={null}
      onAnswer={none}
      onUndo={none}
      proposed={null}
    />
  );
  const asked = () =>
    [...document.querySelectorAll('[data-question]')].map((q) => q.getAttribute('data-question'));
  it('stays where it stands when the figures arrive late: what is new comes below', () => {
    const { rerender } = render(sheet(new Map([['salt', 0.3]])));
    const before = asked();
    expect(before).toContain('salt');
    rerender(
      sheet(
        new Map([
          ['fuel', 0.9],
          ['sun', 0.8],
          ['salt', 0.3],
        ]),
      ),
    );
    expect(asked().slice(0, before.length)).toEqual(before);
    expect(asked()).toEqual(expect.arrayContaining(['fuel', 'sun']));
  });
});

describe('the survey sheet', () => {
  const draw = (
    s: Survey,
    onAnswer: (p: Partial<Survey>) => void = none,
    more: {
      readonly said?: Said;
      readonly asked?: AskedField;
      readonly wanted?: string[];
      readonly proposed?: Partial<Survey>;
      readonly metal?: Survey['substrate'];
    } = {},
  ) =>
    drawPage(
      <SurveyPanel
        survey={s}
        partName="Step bracket"
        partMetal={more.metal ?? s.substrate}
        advice={ask(s)}
        families={FAMILIES}
        doubts={surveyDoubts(s, 7850)}
        house={DEFAULT_SCHOOLS}
        worth={new Map()}
        said={more.said ?? null}
        asked={more.asked ?? null}
        onAsked={none}
        proposed={more.proposed ?? null}
        onAsk={(f) => more.wanted?.push(f)}
        onAnswer={onAnswer}
        onUndo={none}
      />,
      [[KEYS.shop, SHOP]],
    );
  const questions = () =>
    [...document.querySelectorAll('[data-question]')].map((q) => q.getAttribute('data-question'));
  const level = (name: string) =>
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}`) }));
  it('asks what the eye sees first, and nothing when all is known', () => {
    const { unmount } = draw(blankSurvey('steel-plate'));
    expect(questions()).toEqual(['coating', 'rust', 'oil', 'category']);
    unmount();
    draw(PLAIN);
    expect(questions()).toEqual([]);
    expect(screen.getByText(/No open answer would move the advice/)).toBeTruthy();
  });
  it('a picture is touched, and that is the answer', () => {
    const answers: Partial<Survey>[] = [];
    draw(blankSurvey('steel-plate'), (p) => answers.push(p));
    fireEvent.click(screen.getByRole('radio', { name: 'D: pitted all over' }));
    expect(answers).toEqual([{ rust: 'D' }]);
  });
  it('“not known” says how to find out, with what and how long, and may be left open', () => {
    draw(blankSurvey('steel-plate'));
    const oil = within(document.querySelector<HTMLElement>('[data-question="oil"]')!);
    fireEvent.click(oil.getByRole('button', { name: 'not known' }));
    expect(oil.getByText(/does oil sweat out/).textContent).toMatch(/hot-air gun, 15 minutes/);
    fireEvent.click(oil.getByRole('button', { name: 'Leave it open' }));
    expect(questions()).not.toContain('oil');
  });
  it('proposes where the last part of the machine lives, says it whole, and takes it in one touch', () => {
    const answers: Partial<Survey>[] = [];
    const proposed = { category: 'C3', sun: 'yes', durability: 'H', finish: 'working' } as const;
    draw(blankSurvey('steel-plate'), (p) => answers.push(p), { proposed });
    fireEvent.click(
      screen.getByRole('button', {
        name: 'As the last part of this machine: outdoors inland (C3), in the sun, to last 15–25 years, working finish',
      }),
    );
    expect(answers).toEqual([proposed]);
  });
  it('says what the last answer opened and closed, and draws what leads now', () => {
    const before: Survey = PLAIN;
    const after: Survey = { ...PLAIN, phosphated: 'yes' };
    const moves = movesOf(ask(before), ask(after));
    draw(after, none, { said: { fields: ['phosphated'], before, moves } });
    expect(screen.getByText('You said: phosphated')).toBeTruthy();
    expect(screen.getByText('Closed:').parentElement!.textContent).toContain('Zinc-rich epoxy');
  });
  it('does not ask what cannot change anything', () => {
    expect(isAsked('coatKind', { ...PLAIN, coating: 'none' })).toBe(false);
    expect(isAsked('coatKind', { ...PLAIN, coating: 'sound' })).toBe(true);
    expect(isAsked('rust', { ...PLAIN, substrate: 'aluminium-cast' })).toBe(false);
    expect(isAsked('clearanceUm', { ...PLAIN, features: ['close-fit'] })).toBe(true);
  });
  it('every question has its level in the cut, once', () => {
    const all = SURVEY_GROUPS.flatMap((g) => g.fields);
    expect([...all].sort()).toEqual(Object.keys(SURVEY_SHAPES).sort());
  });
  it('hands over one answer at a time; what is no figure says so and counts as not known', () => {
    const answers: Partial<Survey>[] = [];
    draw(PLAIN, (p) => answers.push(p));
    level('Its face');
    fireEvent.change(screen.getByLabelText('Rust'), { target: { value: 'D' } });
    level('The metal');
    const thick = screen.getByLabelText('Thickness');
    fireEvent.change(thick, { target: { value: '4,5' } });
    fireEvent.change(thick, { target: { value: '1/4 in' } });
    fireEvent.change(thick, { target: { value: 'thin' } });
    level('Inside, openings, joints');
    fireEvent.click(screen.getByRole('button', { name: 'white metal' }));
    expect(answers).toEqual([
      { rust: 'D' },
      { thicknessMm: 4.5 },
      { thicknessMm: 6.35 },
      { thicknessMm: null },
      { features: ['white-metal'] },
    ]);
  });
  it('on the whole sheet, too, an answer may be given by its picture', () => {
    const answers: Partial<Survey>[] = [];
    draw(PLAIN, (p) => answers.push(p));
    level('Its face');
    fireEvent.click(screen.getByRole('button', { name: 'pictures of Plating on it' }));
    fireEvent.click(screen.getByRole('radio', { name: 'cadmium' }));
    expect(answers).toEqual([{ plating: 'cadmium' }]);
  });
  it('an answer asked for elsewhere opens its level and takes the hand there', () => {
    Element.prototype.scrollIntoView = none;
    draw({ ...PLAIN, sun: 'unknown' }, none, { asked: 'sun' });
    expect(document.activeElement).toBe(screen.getByLabelText('In the sun'));
  });
  it('says when the part was put right to another metal since, and takes that in one touch', () => {
    const answers: Partial<Survey>[] = [];
    draw(PLAIN, (p) => answers.push(p), { metal: 'grey-iron' });
    expect(screen.getByRole('alert').textContent).toMatch(
      /The part is grey iron on its record.*says steel plate/,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take grey iron' }));
    expect(answers).toEqual([{ substrate: 'grey-iron' }]);
  });
  it('questions a contradiction', () => {
    const wanted: string[] = [];
    draw({ ...PLAIN, areaM2: 90 }, none, { wanted });
    // 18 kg of 6 mm plate has 2 m/(ρ t) = 0.76 m² (docs/calculations.md D).
    const alert = screen.getByRole('alert');
    expect(alert.textContent).toMatch(
      /Can that be\? 90\.0 m² of surface does not go with 18 kg.*about 0\.76 m²/,
    );
    fireEvent.click(within(alert).getByRole('button', { name: 'area' }));
    expect(wanted).toEqual(['areaM2']);
  });
  it('“nothing unusual” says what it says, answers only what is open, and never what must be looked at', () => {
    const given = nothingUnusual({ ...blankSurvey('steel-plate'), fuel: 'yes' });
    expect(given).not.toHaveProperty('fuel');
    for (const f of ['rust', 'pits', 'coating', 'legacy', 'category', 'sun', 'oil'])
      expect(given).not.toHaveProperty(f);
    expect(nothingUnusual(PLAIN)).toEqual({});
    draw(withKind(blankSurvey('steel-plate'), 'bracket'));
    expect(screen.getByText(/^That says:/).textContent).toMatch(/lagging.*what is usual for it is so/);
  });
  it('shows an answer in words, and nothing where nothing is known', () => {
    expect(shownAnswer('rust', PLAIN)).toBe('B: scale flaking, rust begun');
    expect(shownAnswer('features', PLAIN)).toBe('none');
    expect(shownAnswer('sun', blankSurvey('steel-plate'))).toBeNull();
    expect(shownAnswer('otherMetal', PLAIN)).toBe('no');
  });
});

describe('an answer in a few words', () => {
  it('is said as a person would, in the reader’s units, never as a code', () => {
    expect(saidWords('thicknessMm', PLAIN, METRIC)).toBe('6 mm thick');
    expect(saidWords('heatC', PLAIN, METRIC)).toBe('to 40 °C');
    expect(saidWords('heatC', PLAIN, { ...METRIC, temperature: 'F' })).toBe('to 104 °F');
    // 18 kg are 39.7 lb by the international pound (exact, 1959).
    expect(saidWords('massKg', PLAIN, { ...METRIC, mass: 'lb' })).toBe('40 lb');
    expect(saidWords('assembled', PLAIN, METRIC)).toBe('in one piece');
    expect(saidWords('soundShare', { ...PLAIN, soundShare: 0.35 }, METRIC)).toBe('35 % holds');
    const fields = Object.keys(SURVEY_SHAPES) as AskedField[];
    const codes = fields
      .map((f) => saidWords(f, PLAIN, METRIC))
      .filter((w) => /unknown|null|undefined|true|false|\b\w+-\w+-\w+\b/.test(w));
    expect(codes).toEqual([]);
  });
  it('a figure typed in another unit is converted; one that cannot be is refused with what would do', () => {
    expect(readFigure('massKg', '40 lb', METRIC)).toEqual({ ok: true, value: 18.1437 });
    expect(readFigure('heatC', '212', { ...METRIC, temperature: 'F' })).toEqual({ ok: true, value: 100 });
    expect(readFigure('soundShare', '35', METRIC)).toEqual({ ok: true, value: 0.35 });
    expect(readFigure('soundShare', '140', METRIC)).toMatchObject({ ok: false });
    expect(readFigure('heatC', '5000', METRIC)).toMatchObject({ ok: false });
    expect(readFigure('bareDays', '', METRIC)).toEqual({ ok: true, value: null });
  });
});

describe('what is it?', () => {
  const draw = (s: Survey, name: string, given: Partial<Survey>[] = []) =>
    render(<KindPicker survey={s} name={name} onAnswer={(p) => given.push(p)} />);
  const offered = () => screen.getAllByRole('radio').map((r) => r.textContent);
  it('offers first what the name says, and takes a touch', () => {
    const given: Partial<Survey>[] = [];
    draw(blankSurvey('steel-sheet'), 'Mudguard, front', given);
    expect(offered()[0]).toBe('sheet panel');
    fireEvent.click(screen.getByRole('radio', { name: 'sheet panel' }));
    expect(given).toEqual([{ kind: 'sheet-panel' }]);
  });
  it('is found by a common word and taken by Enter; all kinds are drawn and can be seen at once', () => {
    const given: Partial<Survey>[] = [];
    draw(blankSurvey('steel-plate'), 'Thing', given);
    const word = screen.getByLabelText('What it is, in a word');
    fireEvent.change(word, { target: { value: 'horn guide' } });
    fireEvent.keyDown(word, { key: 'Enter' });
    expect(given).toEqual([{ kind: 'machined-casting' }]);
    fireEvent.change(word, { target: { value: 'zzz' } });
    expect(screen.getByText(/No kind has that word/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'all 30 kinds' }));
    expect(offered()).toHaveLength(PART_KINDS.length - 1);
    for (const k of PART_KINDS)
      expect([k, KIND_LINES[k].outline !== '' || (KIND_LINES[k].circles ?? []).length > 0]).toEqual([
        k,
        true,
      ]);
  });
  it('says what stands only because it is usual, until somebody says it is so', () => {
    const s = withKind(blankSurvey('steel-plate'), 'bracket');
    const { unmount } = draw(s, 'Bracket');
    expect(screen.getByText('Usual: look.').parentElement!.textContent).toContain('6 mm thick');
    unmount();
    draw(answered(s, nothingUnusual(s)), 'Bracket');
    expect(screen.queryByText('Usual: look.')).toBeNull();
  });
});

describe('zones of their own', () => {
  it('a hot manifold is a zone: added, made hot, taken out', () => {
    const given: Partial<Survey>[] = [];
    const draw = (s: Survey) => render(<ZonesHere survey={s} onAnswer={(p) => given.push(p)} />);
    const first = draw(PLAIN);
    fireEvent.change(screen.getByLabelText('Name of a new zone'), { target: { value: 'Manifold' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(given[0]!.zones![0]).toMatchObject({ name: 'Manifold', kind: 'outside', heatC: 40 });
    first.unmount();
    draw({ ...PLAIN, zones: given[0]!.zones! });
    fireEvent.change(screen.getByLabelText('Hottest of Manifold'), { target: { value: '550' } });
    expect(given[1]!.zones![0]!.heatC).toBe(550);
    fireEvent.click(screen.getByRole('button', { name: 'take out' }));
    expect(given[2]).toEqual({ zones: [] });
  });
});
