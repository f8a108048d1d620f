import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { ReadableStream } from 'node:stream/web';
import { TextDecoder, TextEncoder } from 'node:util';
import { afterEach, describe, expect, it } from '@jest/globals';
import { INDUCTIONS, type NonConformance, type PeopleView } from '@calvetta/core';
import { KEYS } from '../api/keys.ts';
import { InToday } from '../screens/bench/InToday.tsx';
import { DaysOtherwise } from '../screens/settings/DaysOtherwise.tsx';
import { drawPage, SHOP } from '../test/page.tsx';
import { BatchPapers } from './BatchPapers.tsx';
import { ConcedeDialog } from './ConcedeDialog.tsx';
import { DossierDialog } from './DossierDialog.tsx';
import { GaugeCheckDialog } from './GaugeCheckDialog.tsx';
import { HandoverDialog } from './HandoverDialog.tsx';
import { PersonDialog } from './PersonDialog.tsx';

afterEach(cleanup);
// What browsers have and the stand-in for one lacks.
globalThis.TextDecoder = TextDecoder as typeof globalThis.TextDecoder;
const NOW = Date.parse('2026-03-05T18:45:00Z');
const PEOPLE: PeopleView = {
  nowMs: NOW,
  day: '2026-03-05',
  people: [
    {
      personId: 'ines',
      inductions: INDUCTIONS.map((to) => ({
        to,
        may: to === 'spray' ? { state: 'lapsed', untilDay: '2026-01-31' } : { state: 'not-kept' },
      })),
      inSinceMs: null,
    },
  ],
  handovers: [
    { factId: 'h', text: 'two frames hang in the booth', atMs: NOW - 86_400_000, personName: 'Tom' },
  ],
  gauges: [],
};
const shop = {
  ...SHOP,
  attendance: {
    weekly: [
      { weekday: 2, from: '18:30', to: '21:30' },
      { weekday: 6, from: '09:30', to: '16:30' },
    ],
    exceptions: [],
  },
  people: [{ ...SHOP.people[0]!, minorUntil: null, isNamed: false, comes: null }],
};
const ANSWERS = [
  [KEYS.shop, shop],
  [KEYS.people, PEOPLE],
  [KEYS.door, { isOpen: true, me: null }],
] as const;
const none = (): void => undefined;
const stored = (sent: readonly { readonly body: any }[]): readonly any[] =>
  sent.flatMap((s) => (s.body?.facts as unknown[] | undefined) ?? []);

describe('what somebody may do', () => {
  it('each with its state; one touch says that they were shown, with the day it lapses', async () => {
    const { sent } = drawPage(<PersonDialog personId="ines" onClose={none} />, ANSWERS);
    expect(screen.getByText('lapsed on 31 Jan 2026')).toBeTruthy();
    const [first] = screen.getAllByLabelText('Good until, if it lapses');
    fireEvent.change(first!, { target: { value: '2026-03-04' } });
    expect(screen.getByText('A day from today on.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLButtonElement>('Shown how: spraying').disabled).toBe(true);
    fireEvent.change(first!, { target: { value: '2027-03-05' } });
    fireEvent.click(screen.getByLabelText('Shown how: spraying'));
    await waitFor(() => expect(stored(sent)).toHaveLength(1));
    expect(stored(sent)[0]).toMatchObject({
      kind: 'inducted',
      body: { whoId: 'ines', to: 'spray', until: '2027-03-05' },
    });
  });
  it('under age until a day is stored with the person', async () => {
    const { sent } = drawPage(<PersonDialog personId="ines" onClose={none} />, ANSWERS);
    fireEvent.change(screen.getByLabelText('Under age until'), { target: { value: '2027-09-01' } });
    fireEvent.click(screen.getByText('Store'));
    await waitFor(() => expect(sent.some((s) => s.method === 'PATCH')).toBe(true));
    expect(sent.find((s) => s.method === 'PATCH')).toMatchObject({
      url: '/api/people/ines',
      body: { version: 1, minorUntil: '2027-09-01' },
    });
  });
});

describe('when somebody comes', () => {
  it('of the days on which the shop meets; a day ticked off, a week away, each stored whole', async () => {
    const { sent } = drawPage(<PersonDialog personId="ines" onClose={none} />, ANSWERS);
    const patches = (): unknown[] => sent.flatMap((s) => (s.method === 'PATCH' ? [s.body] : []));
    fireEvent.click(screen.getByLabelText('Tue, Ines'));
    await waitFor(() => expect(patches()).toHaveLength(1));
    expect(patches()[0]).toEqual({ version: 1, comes: { weekdays: [6], days: [] } });
    fireEvent.change(screen.getByLabelText('From'), { target: { value: '2026-04-06' } });
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '2026-04-01' } });
    expect(screen.getByText('Not before the first day.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '2026-04-12' } });
    fireEvent.click(screen.getByText('Away'));
    await waitFor(() => expect(patches()).toHaveLength(2));
    expect(patches()[1]).toEqual({
      version: 1,
      comes: { weekdays: null, days: [{ fromDay: '2026-04-06', toDay: '2026-04-12', comes: false }] },
    });
  });
  it('days on which the shop meets otherwise replace what was said of that day', async () => {
    const exceptions = [{ day: '2026-04-11', from: null, to: null }];
    const { sent } = drawPage(
      <DaysOtherwise
        shop={{ ...shop, version: 4, attendance: { ...shop.attendance, exceptions } } as never}
      />,
      ANSWERS,
    );
    expect(screen.getByText('11 Apr 2026: nobody')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2026-04-11' } });
    fireEvent.change(screen.getByLabelText('Until, that day'), { target: { value: '02:00' } });
    expect(screen.getByText('Later the same day; a night is two sessions.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Until, that day'), { target: { value: '17:00' } });
    fireEvent.click(screen.getByText('We meet then'));
    await waitFor(() => expect(sent.some((s) => s.method === 'PATCH')).toBe(true));
    expect(sent.find((s) => s.method === 'PATCH')!.body).toEqual({
      version: 4,
      exceptions: [{ day: '2026-04-11', from: '09:30', to: '17:00' }],
    });
  });
});

describe('who is in', () => {
  it('says nobody is, what was left, and signs whoever holds the device in', async () => {
    const { sent } = drawPage(<InToday zone="UTC" />, ANSWERS);
    expect(screen.getByText('Nobody has signed in today')).toBeTruthy();
    expect(screen.getByText('two frames hang in the booth', { exact: false })).toBeTruthy();
    fireEvent.click(screen.getByText('I’m in'));
    await waitFor(() => expect(stored(sent)).toMatchObject([{ kind: 'came', body: { whoId: 'ines' } }]));
  });
  it('whoever is in goes home by another touch', () => {
    const view = { ...PEOPLE, people: [{ ...PEOPLE.people[0]!, inSinceMs: NOW - 3_600_000 }] };
    drawPage(<InToday zone="UTC" />, [ANSWERS[0], [KEYS.people, view], ANSWERS[2]]);
    expect(screen.getByText('Ines 17:45', { exact: false })).toBeTruthy();
    expect(screen.getByText('I go home')).toBeTruthy();
  });
  it('going home leaves the note first, then the shop; without a note only the shop', async () => {
    const { sent } = drawPage(<HandoverDialog isGoing onClose={none} />, ANSWERS);
    expect(screen.getByText('I go home')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('What they should know'), { target: { value: ' bin is full ' } });
    fireEvent.click(screen.getByText('Leave it, and go home'));
    await waitFor(() => expect(stored(sent)).toHaveLength(2));
    expect(stored(sent)).toMatchObject([
      { kind: 'handed-over', body: { text: 'bin is full' } },
      { kind: 'left', body: { whoId: 'ines' } },
    ]);
  });
  it('a note of nothing is not left', () => {
    drawPage(<HandoverDialog isGoing={false} onClose={none} />, ANSWERS);
    expect(screen.getByText<HTMLButtonElement>('Leave it').disabled).toBe(true);
  });
});

describe('a concession', () => {
  const about: NonConformance = {
    factId: 'f1',
    kind: 'film-read',
    face: 'A',
    atMs: NOW,
    why: { what: 'film-refused', meanUm: 88, leastUm: 61, nominalUm: 120, rule: 'iso-19840' },
    concession: null,
  };
  it('needs who allowed it and why; the paper and the day may be left out', async () => {
    const { sent } = drawPage(
      <ConcedeDialog partId="p" partName="Bonnet" about={about} said="Film refused." onClose={none} />,
      ANSWERS,
    );
    fireEvent.click(screen.getByText('It may stay'));
    expect(stored(sent)).toHaveLength(0);
    fireEvent.change(screen.getByLabelText('Allowed by'), { target: { value: 'the owner' } });
    fireEvent.change(screen.getByLabelText('Why it may stay'), { target: { value: 'working finish' } });
    fireEvent.click(screen.getByText('It may stay'));
    await waitFor(() => expect(stored(sent)).toHaveLength(1));
    expect(stored(sent)[0]).toMatchObject({ kind: 'conceded', partId: 'p', face: 'A' });
    expect(stored(sent)[0].body).toEqual({ aboutId: 'f1', allowedBy: 'the owner', reason: 'working finish' });
  });
});

describe('a scale', () => {
  it('is tried with masses: 2000 g read as 2015 is 5 g more than half a per cent, and fails', async () => {
    const { sent } = drawPage(
      <GaugeCheckDialog gaugeId="bench" name="Bench scale" of="scale" onClose={none} />,
      ANSWERS,
    );
    fireEvent.change(screen.getByLabelText('It reads mass 4 as, g'), { target: { value: '2015' } });
    expect(screen.getByText('+15.0 of 10.0 g')).toBeTruthy();
    expect(screen.getByText('It fails', { exact: false })).toBeTruthy();
    fireEvent.click(screen.getByText('Store the check'));
    await waitFor(() => expect(stored(sent)).toHaveLength(1));
    expect(stored(sent)[0]).toMatchObject({
      kind: 'scale-checked',
      body: { gaugeId: 'bench', masses: [{ massG: 2000, readG: 2015 }], tolG: 1, tolPct: 0.5 },
    });
  });
});

describe('papers of a batch', () => {
  const tin = {
    tinId: 't1',
    productName: 'Epoxy primer',
    content: 'paint',
    colour: null,
    batch: 'P1',
    certificates: [{ factId: 'c', certificate: 'C 1', goodUntil: '2027-01-01', atMs: NOW }],
  };
  it('are listed, and one more is kept; a tin without its batch has none', async () => {
    const { sent } = drawPage(<BatchPapers tin={tin as never} />, ANSWERS);
    expect(screen.getByText('C 1; its maker vouches for it until 1 Jan 2027')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Certificate'), { target: { value: 'C 2' } });
    fireEvent.click(screen.getByText('Keep it with the batch'));
    await waitFor(() => expect(stored(sent)).toHaveLength(1));
    expect(stored(sent)[0].body).toEqual({ tinId: 't1', certificate: 'C 2' });
    cleanup();
    drawPage(<BatchPapers tin={{ ...tin, batch: null } as never} />, ANSWERS);
    expect(screen.queryByLabelText('Certificate')).toBeNull();
  });
});

describe('the paper of a machine', () => {
  /** A line of the server's answer at a time; `next` lets it go on. */
  const answering = (lines: readonly object[]) => {
    const encoder = new TextEncoder();
    const waiting: (() => void)[] = [];
    const body = new ReadableStream<Uint8Array>({
      async start(to) {
        for (const line of lines) {
          await new Promise<void>((go) => waiting.push(go));
          to.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
        }
        to.close();
      },
    });
    const next = async (): Promise<void> => {
      await waitFor(() => expect(waiting.length).toBeGreaterThan(0));
      waiting.shift()!();
    };
    return { body, next };
  };
  /** The first answer of the page's stand-in is a no; then the server is this one. */
  const begin = async (body: ReadableStream<Uint8Array>) => {
    const page = drawPage(<DossierDialog machineId="m" name="Tug" onClose={none} />, ANSWERS);
    await screen.findByText('It broke off', { exact: false });
    const asked: { readonly url: string; readonly signal: AbortSignal }[] = [];
    globalThis.fetch = ((url: string, init: { readonly signal: AbortSignal }) => {
      asked.push({ url, signal: init.signal });
      return Promise.resolve({ ok: true, body });
    }) as unknown as typeof fetch;
    fireEvent.click(screen.getByText('Try again'));
    return { ...page, asked };
  };
  it('says how far it is, then opens', async () => {
    URL.createObjectURL = () => 'blob:x';
    URL.revokeObjectURL = none;
    const { body, next } = answering([{ done: 1, of: 3 }, { pdf: btoa('%PDF-1.7') }, { isWhole: true }]);
    await begin(body);
    await next();
    await screen.findByText('1 of 3 parts written');
    await next();
    await next();
    expect((await screen.findByText('Open it')).getAttribute('href')).toBe('blob:x');
  });
  it('what broke off is said, though it looked like the end', async () => {
    const { body, next } = answering([{ done: 1, of: 3 }, { pdf: btoa('%PDF-1.7') }]);
    await begin(body);
    await next();
    await next();
    await screen.findByText('It broke off', { exact: false });
  });
  it('closed, it is asked for no more', async () => {
    const { body } = answering([{ done: 1, of: 3 }]);
    const { asked, unmount } = await begin(body);
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]!.url).toBe('/api/machines/m/dossier.pdf');
    unmount();
    expect(asked[0]!.signal.aborted).toBe(true);
  });
});
