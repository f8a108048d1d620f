import {
  type Dossier,
  type DossierPart,
  type FactView,
  type NonConformance,
  type RouteStepView,
  type SignOffView,
} from '@calvetta/core';
import type { KnownHow, SignedHead } from '@calvetta/contract';
import {
  ANSWER_WORDS,
  CLOSED_WORDS,
  dayWords,
  FACT_WORDS,
  factDetail,
  findingName,
  HEADLINE_WORDS,
  HOW_WORDS,
  KEPT_SAMPLE_WORDS,
  nonConformityWords,
  SIGN_LIMITS,
  SIGN_SCOPE_WORDS,
  SIGN_STATE_WORDS,
  SPENT_WORDS,
  stepName,
  SUBSTRATE_WORDS,
  WHAT_WORDS,
} from '@calvetta/contract/words';
import { Fonts } from './fonts.ts';
import { filmOn } from './filmOnPaper.ts';
import { Paper } from './paper.ts';
import { Sayer } from './sayer.ts';

export interface PictureOnPaper {
  readonly jpeg: Buffer;
  readonly words: string;
}
/** What a document needs that is not in the dossier itself. */
export interface Beside {
  readonly head: SignedHead;
  /** How it is known who did what, by entry; none: nobody was signed in. */
  readonly knownOf: (factId: string) => KnownHow | null;
  readonly picturesOf: (part: DossierPart) => Promise<readonly PictureOnPaper[]>;
  /** Lets others have their turn; true: nobody waits for it any more. */
  readonly isGivenUp: () => Promise<boolean>;
}

/** Writes a dossier; the stream of the paper carries it. Comes back with its pages when the last is written, or it was given up. */
export async function writeDossier(paper: Paper, d: Dossier, beside: Beside): Promise<number> {
  const say = new Sayer(d);
  frontPage(paper, d, say, beside.head);
  for (const part of d.parts) {
    if (await beside.isGivenUp()) break;
    await onePart(paper, part, d, say, beside);
  }
  return paper.end(`${d.shopName}, ${say.when(d.madeAtMs)}`);
}
export const newPaper = (d: Dossier): Paper => new Paper(d.title, new Fonts());

function frontPage(paper: Paper, d: Dossier, say: Sayer, head: SignedHead): void {
  const areaM2 = d.parts.reduce((s, p) => s + (p.detail.card.areaM2 ?? 0), 0);
  const hours = d.parts.reduce((s, p) => s + p.workedH, 0);
  const open = d.parts.reduce((s, p) => s + p.openFindings, 0);
  paper.heading(d.title, 'title');
  paper.line(`Record of its coatings, kept by ${d.shopName}. Made ${say.when(d.madeAtMs)}.`);
  paper.space(8);
  paper.facts([
    ['Machine', [d.machineName, d.machineKind].filter((x) => x !== '').join(', ')],
    ['Accession number', d.accession ?? ''],
    ['Parts', String(d.parts.length)],
    ['Area', areaM2 > 0 ? `${areaM2.toFixed(1)} m²` : ''],
    ['Hours logged', hours > 0 ? `${hours.toFixed(1)} h` : 'none'],
    ['Findings open', String(open)],
  ]);
  paper.space(6);
  paper.line(
    'Limited to coatings and to what was entered. It is no certificate: of airworthiness, pressure, structure or lifting licensed people alone decide. Makers’ sheets and local rules come first.',
  );
  paper.heading('Parts', 'sub');
  paper.table(
    [
      { head: 'Part', share: 5, cell: (p: DossierPart) => p.detail.card.name },
      { head: 'Assembly', share: 4, cell: (p) => p.detail.card.assemblyName },
      { head: 'State', share: 2, cell: (p) => HEADLINE_WORDS[p.detail.card.headline] },
      { head: 'Coats', share: 1, isRight: true, cell: (p) => String(p.coats.length) },
      { head: 'Steps left', share: 1.5, isRight: true, cell: (p) => String(p.stepsLeft.length) },
      {
        head: 'Open',
        share: 1,
        isRight: true,
        cell: (p) => (p.openFindings > 0 ? String(p.openFindings) : ''),
      },
    ],
    d.parts,
  );
  paper.heading('How to see that nothing was rewritten', 'sub');
  paper.line(
    `The record’s chain had ${head.seq} links when this was made; its end was ${head.hash.slice(0, 32).replace(/(.{4})(?=.)/g, '$1 ')}. ` +
      'Give that end to “Is it whole?” in the Ledger, or to bin/verify: if the chain still holds it, nothing up to then was changed, taken out or put in. It does not show that what was written is true.',
  );
  paper.space(4);
  paper.qr(
    JSON.stringify(head),
    `The same end with the shop’s signature (Ed25519, key ${head.publicKey.slice(0, 16)}, ${say.when(head.atMs)}). Kept as a file, bin/verify takes it as it is.`,
  );
}

async function onePart(paper: Paper, p: DossierPart, d: Dossier, say: Sayer, beside: Beside): Promise<void> {
  const { detail } = p;
  const { card, survey } = detail;
  paper.newPage();
  paper.heading(card.name, 'heading');
  paper.line(`${card.assemblyName}, ${card.machineName}`, { isQuiet: true });
  paper.space(4);
  paper.facts([
    ['Metal', SUBSTRATE_WORDS[card.substrate]],
    ['State', HEADLINE_WORDS[card.headline]],
    ['Mass', detail.massKg === null ? 'not known' : `${detail.massKg} kg`],
    ['Area', card.areaM2 === null ? 'not known' : `${card.areaM2} m²`],
    ['Thickness', detail.thicknessMm === null ? '' : `${detail.thicknessMm} mm`],
    ['Pair', p.pairName ?? ''],
    ['Comes from', detail.comesFrom ?? ''],
    ['Where it lives', survey ? (ANSWER_WORDS[survey.category] ?? survey.category) : 'not surveyed'],
    ['Finish', survey ? (ANSWER_WORDS[survey.finish] ?? survey.finish) : ''],
    ['Colour', detail.colourGroup ?? ''],
    ['Hours', p.workedH > 0 ? `${p.workedH.toFixed(1)} h` : 'none logged'],
    ['Spent', spentText(p, say)],
  ]);
  filmOn(paper, p, say);
  const pictures = await beside.picturesOf(p);
  if (pictures.length > 0) {
    paper.heading('Pictures', 'sub');
    paper.pictures(pictures);
  }
  routeAndTests(paper, p, say);
  notConforming(paper, p, say);
  samples(paper, p, say);
  signOffs(paper, p, say);
  openMatters(paper, p);
  recipe(paper, p);
  paper.heading('Everything on record', 'sub');
  paper.table(
    [
      { head: 'When', share: 2.2, cell: (f: FactView) => say.when(originOf(f)) },
      {
        head: 'What',
        share: 2.4,
        cell: (f) => `${FACT_WORDS[f.kind]}${f.face === null ? '' : `, ${f.face}`}`,
      },
      { head: 'Said', share: 6.4, cell: (f) => factText(f, detail.route, say) },
      { head: 'Who, how known', share: 2.6, cell: (f) => whoText(f, p, d, beside) },
      { head: '', share: 1.6, cell: (f) => (f.isStanding ? '' : 'taken back') },
    ],
    p.history.filter((f) => f.kind !== 'voided'),
  );
}
/** Whoever signs stands on paper by name: that is what signing is. */
function whoText(f: FactView, p: DossierPart, d: Dossier, { knownOf }: Beside): string {
  const how = knownOf(f.factId);
  const signer = p.detail.signOffs.find((s) => s.factId === f.factId)?.personName;
  return `${signer ?? d.names[f.personId] ?? 'somebody'}${how === null || how === 'claimed' ? '' : `, ${HOW_WORDS[how]}`}`;
}
const originOf = (f: FactView): number => f.endedAtMs ?? f.happenedAtMs;

function spentText(p: DossierPart, say: Sayer): string {
  const paint = p.detail.paintCents;
  const parts = [
    paint === null ? null : `paint ${say.money(Math.round(paint))}`,
    ...Object.entries(p.spentCents).map(([on, cents]) =>
      cents > 0 ? `${SPENT_WORDS[on as keyof typeof SPENT_WORDS]} ${say.money(cents)}` : null,
    ),
  ];
  return parts.filter((x) => x !== null).join(', ');
}

/** The route with what is recorded of each step; and what was found. */
function routeAndTests(paper: Paper, p: DossierPart, say: Sayer): void {
  const { route, routeSet } = p.detail;
  paper.heading('Route', 'sub');
  if (route.length === 0) paper.line('No route was set.');
  else {
    if (routeSet?.reason) paper.line(`Set against a rule: ${routeSet.reason}`);
    paper.table(
      [
        { head: 'Step', share: 6, cell: (s: RouteStepView) => stepText(s) },
        { head: 'Recorded', share: 6, cell: (s) => recordText(s, say) },
      ],
      route,
    );
  }
  if (p.findings.length > 0) {
    paper.heading('Found', 'sub');
    paper.table(
      [
        {
          head: 'When',
          share: 2.4,
          cell: (f: DossierPart['findings'][number]) => say.when(f.fact.happenedAtMs),
        },
        {
          head: 'What',
          share: 4,
          cell: (f) => `${findingName(f)}${f.fact.body.note ? `: ${f.fact.body.note}` : ''}`,
        },
        {
          head: 'What became of it',
          share: 6,
          cell: (f) =>
            f.closed === null
              ? 'open'
              : [CLOSED_WORDS[f.closed.body.how], f.closed.body.by, f.closed.body.reason]
                  .filter((x) => x !== undefined)
                  .join(', '),
        },
      ],
      p.findings,
    );
  }
}
const stepText = (s: RouteStepView): string =>
  [
    stepName(s),
    s.what === null ? null : (WHAT_WORDS[s.what] ?? s.what),
    s.sheetId === null ? null : `${s.coats} × ${s.dftUm ?? '?'} µm`,
  ]
    .filter((x) => x !== null)
    .join(', ');
function recordText(s: RouteStepView, say: Sayer): string {
  if (s.sheetId !== null) return `${s.coatsDone} of ${s.coats} on`;
  if (s.record?.status !== 'recorded')
    return s.record?.status === 'not-recorded' ? 'not recorded' : 'to come';
  const { atMs, found, passed } = s.record;
  return [
    atMs === null ? 'done, time not known' : say.when(atMs),
    passed === null ? null : passed ? 'passed' : 'failed',
    found,
  ]
    .filter((x) => x !== null)
    .join(', ');
}

/** What does not conform, and what allows it to stay. */
function notConforming(paper: Paper, p: DossierPart, say: Sayer): void {
  const list = p.detail.nonConformances;
  if (list.length === 0) return;
  paper.heading('Does not conform', 'sub');
  paper.table(
    [
      { head: 'When', share: 2.4, cell: (n: NonConformance) => say.when(n.atMs) },
      { head: 'What', share: 5, cell: (n) => nonConformityWords(n.why, say) },
      { head: 'May stay', share: 5, cell: (n) => concessionText(n) },
    ],
    list,
  );
}
function concessionText({ concession: c }: NonConformance): string {
  if (c === null) return 'not answered';
  const until =
    c.untilDay === null ? '' : ` until ${dayWords(c.untilDay)}${c.isOver ? ', which is over' : ''}`;
  return `allowed${until} by ${c.allowedBy}${c.reference === null ? '' : ` (${c.reference})`}: ${c.reason}`;
}

/** What was put by, and where it is. */
function samples(paper: Paper, p: DossierPart, say: Sayer): void {
  if (p.samples.length === 0) return;
  paper.heading('Kept', 'sub');
  for (const s of p.samples)
    paper.line(
      `${KEPT_SAMPLE_WORDS[s.body.what]}, ${say.when(s.happenedAtMs)}: ${s.body.where}${s.body.note === undefined ? '' : `; ${s.body.note}`}.`,
    );
}

/** Who signed for it, and what that is worth now. */
function signOffs(paper: Paper, p: DossierPart, say: Sayer): void {
  const { signOffs: signs } = p.detail;
  if (signs.length === 0) return;
  paper.heading('Signed off', 'sub');
  paper.table(
    [
      { head: 'When', share: 2.4, cell: (s: SignOffView) => say.when(s.atMs) },
      { head: 'By', share: 1.8, cell: (s) => s.personName ?? 'somebody' },
      { head: 'For', share: 2.2, cell: (s) => SIGN_SCOPE_WORDS[s.body.scope] },
      {
        head: 'Said',
        share: 4.4,
        cell: (s) => [s.body.words, s.body.standard].filter((x) => x !== undefined).join('; '),
      },
      { head: 'Now', share: 3.4, cell: (s) => signStateText(s) },
      { head: 'SHA-256', share: 2.4, cell: (s) => s.body.sha256.slice(0, 16) },
    ],
    signs,
  );
  paper.line(SIGN_LIMITS, { isQuiet: true, size: 'small' });
}
const signStateText = (s: SignOffView): string =>
  `${SIGN_STATE_WORDS[s.state]}${s.endedBy === null || s.state === 'withdrawn' ? '' : `: ${(FACT_WORDS as Readonly<Record<string, string>>)[s.endedBy.kind] ?? s.endedBy.kind}`}`;

function openMatters(paper: Paper, p: DossierPart): void {
  const left = p.detail.route.filter((s) => p.stepsLeft.includes(s.stepId));
  if (left.length === 0 && p.openFindings === 0) return;
  paper.heading('Still open', 'sub');
  if (p.openFindings > 0) paper.line(`${p.openFindings} of what was found.`);
  if (left.length > 0) paper.line(`Steps not on record: ${left.map(stepText).join('; ')}.`);
}

/** What a later hand needs to lay the same again: product, batch, film, how. */
function recipe(paper: Paper, p: DossierPart): void {
  if (p.coats.length === 0) return;
  paper.heading('To repeat it', 'sub');
  for (const face of new Set(p.coats.map((c) => c.face))) {
    const own = p.coats.filter((c) => c.face === face);
    paper.line(
      `${own.length === p.coats.length ? '' : `Face ${face}: `}${own
        .map(
          (c) =>
            `${c.productName}, ${c.loggedUm.toFixed(0)} µm${c.tool === null ? '' : ` by ${c.tool}`}${c.batch === null ? '' : `, batch ${c.batch}`}`,
        )
        .join('; then ')}.`,
    );
  }
}

function factText(f: FactView, route: readonly RouteStepView[], say: Sayer): string {
  const step = f.kind === 'step-done' ? route.find((s) => s.stepId === f.body.stepId) : undefined;
  return factDetail(
    f,
    {
      productName: f.productName,
      placeName: f.placeName,
      mixText: f.mix === null ? null : `mix ${Math.round(f.mix.ageMinutes)} min old`,
      stepName: step ? stepName(step) : null,
    },
    { film: say.film, temp: say.temp, money: say.money },
  );
}
