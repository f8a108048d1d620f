import type { PartCard } from '@calvetta/contract';
import {
  ACT_WORDS,
  BARE_WORDS,
  dayWords,
  MEND_STEP_WORDS,
  SHUT_REASON_WORDS,
  SUSPECT_WORDS,
} from '@calvetta/contract/words';
import { MEND_DONE_BY, type FactKind } from '@calvetta/core';
import { duration, moment } from '../ui/time.ts';

/** What a row says and what its button does. */
export interface ActView {
  /** One line: what, until when, why. */
  readonly text: string;
  readonly button: string;
  /** The dialog the button opens; null opens Why? */
  readonly logs: FactKind | null;
  readonly isMain: boolean;
  /** What the button opens in place of a dialog that logs or Why?: the survey and its routes, what is known of the part, what was found on it. */
  readonly opens: 'route' | 'edit' | 'inspect' | null;
}

type Units = { kelvin: (k: number | null) => string; temp: (c: number | null) => string };

const coatName = (card: PartCard): string =>
  card.next
    ? `${card.next.name}${card.next.ofCoats > 1 ? ` ${card.next.coatNo} of ${card.next.ofCoats}` : ''}`
    : '';

/** Why nothing is known of its surface, and what mends that. */
function readAir(
  card: PartCard,
  view: (text: string, logs: FactKind | null, isMain?: boolean, word?: string) => ActView,
): ActView {
  if (card.lacks === 'place') return view('nobody said where it stands', 'moved', true, 'Say where');
  const size = view('its temperature is not known: give mass and area', null, true, 'Give its size');
  if (card.lacks === 'size') return { ...size, opens: 'edit' };
  return view('no fresh reading: unknown is not a pass', null, false, 'Why?');
}

const undecided = (shutsMs: number | null, at: (ms: number) => string): string =>
  shutsMs === null
    ? 'primed and held: colour undecided'
    : `colour undecided · open until ${at(shutsMs)}, then abraded first`;

/** What was found comes first: who has to be asked, or what mends it and from when. */
function inspectAct(
  act: Extract<PartCard['act'], { readonly code: 'refer' | 'mend' }>,
  at: (ms: number | null) => string,
  view: (text: string, logs: FactKind | null, isMain?: boolean, word?: string) => ActView,
): ActView {
  const opens = 'inspect' as const;
  if (act.code === 'refer')
    return { ...view('something found waits for a licensed person', null, false, 'See what'), opens };
  if (act.step === null) return { ...view('mended? look, and close the finding', null, true, 'Look'), opens };
  const logs = MEND_DONE_BY[act.step];
  const from = act.fromMs === null ? '' : `from ${at(act.fromMs)}: `;
  const it = view(`${from}${MEND_STEP_WORDS[act.step]}`, logs, act.fromMs === null, logs ? 'Log it' : 'How');
  return logs === null ? { ...it, opens } : it;
}

/** The next act of a part in words. Every time in it was derived by core; nothing is computed here but durations left. */
export function actView(card: PartCard, nowMs: number, zone: string, units: Units): ActView {
  const { act } = card;
  const at = (ms: number | null): string =>
    ms === null ? 'not within the forecast' : moment(ms, nowMs, zone);
  const button = ACT_WORDS[act.code];
  const view = (text: string, logs: FactKind | null, isMain = false, word = button): ActView => ({
    text,
    button: word,
    logs,
    isMain,
    opens: act.code === 'choose-route' ? 'route' : null,
  });
  switch (act.code) {
    case 'coat':
    case 'coat-if-accepted': {
      const prep = act.prep === 'scuff' ? 'scuff, wipe, then ' : '';
      return view(
        `${prep}${startBy(card, act.startByMs, nowMs, zone)}${act.code === 'coat-if-accepted' ? ` · ${marginalReason(card, units)}` : ''}`,
        'coated',
        act.code === 'coat',
      );
    }
    case 'wipe':
      return view(`wipe, then ${coatName(card)} · key lapses ${at(act.lapsesMs)}`, 'wiped', true);
    case 'hold':
      return view(
        `${gateReason(card, units)} · ${act.nextFit ? `fit ${at(act.nextFit.fromMs)}–${at(act.nextFit.toMs)}` : 'no fit air forecast: heat or move it'}`,
        null,
        false,
        'Why?',
      );
    case 'read-air':
      return readAir(card, view);
    case 'wait':
      return view(`${coatName(card)} from ${at(act.opensMs)}`, null, false, 'Why?');
    case 'tack-test':
      return view(`${coatName(card)} from ${at(act.opensMs)}, sooner if it passes`, 'tested');
    case 'test-film':
      return view(SUSPECT_WORDS[act.cause as keyof typeof SUSPECT_WORDS], 'tested');
    case 'abrade':
      return view(`shut: abrade, wipe, then ${coatName(card)}`, 'abraded');
    case 'wait-out-lift':
      return view(`would lift: wait until ${at(act.opensMs)}`, null, false, 'Why?');
    case 'reblast':
    case 'rephosphate':
    case 'abrade-again':
      return view(
        `${card.bare ? BARE_WORDS[card.bare.prep] : 'bare'} too long ago: ${button.toLowerCase()}`,
        act.code === 'rephosphate' ? 'pretreated' : act.code === 'reblast' ? 'stripped' : 'abraded',
      );
    case 'refuse':
      return view(`${coatName(card)}: ${SHUT_REASON_WORDS[act.reason] ?? act.reason}`, null, false, 'Why?');
    case 'ask-sheet':
      return view(SHUT_REASON_WORDS[act.reason] ?? act.reason, null, false, 'Why?');
    case 'cure':
      return view(`in service ${at(act.serviceMs)}`, null, false, 'Why?');
    case 'decide-colour':
      return view(undecided(act.shutsMs, at), null, false, 'Why?');
    case 'choose-route':
      return view(
        act.shutsMs === null
          ? 'no route yet: survey it and choose one'
          : `no route yet: survey it before ${at(act.shutsMs)}`,
        null,
        true,
      );
    case 'fetch': {
      const by = act.backDay === null ? '' : ` · back by ${dayWords(act.backDay)}`;
      return view(`at ${act.to}${by}`, 'came-back', true);
    }
    case 'refer':
    case 'mend':
      return inspectAct(act, at, view);
    case 'prepare':
      return view('not begun: strip or abrade', 'stripped');
    case 'done':
      return view('route finished', null, false, 'Why?');
  }
}

function startBy(card: PartCard, startByMs: number | null, nowMs: number, zone: string): string {
  if (startByMs === null) return `${coatName(card)} · does not shut`;
  const left = startByMs - nowMs;
  if (left < 0) return `${coatName(card)} · too late to finish in time at worst`;
  return `${coatName(card)} by ${moment(startByMs, nowMs, zone)}${left < 24 * 3_600_000 ? `, ${duration(left)} left` : ''}`;
}

/** The deciding gate in figures: "+0.9 K of 3.0 K above dew". */
export function gateReason(card: PartCard, units: Units): string {
  const gate = card.gate?.deciding;
  if (!gate || gate.value === null) return 'gate unknown';
  switch (gate.kind) {
    case 'dew-margin':
      return `${units.kelvin(gate.value)} of ${units.kelvin(gate.limit).replace('+', '')} above dew`;
    case 'rh-max':
    case 'rh-min':
      return `${gate.value.toFixed(0)} % RH, ${gate.kind === 'rh-max' ? 'at most' : 'at least'} ${gate.limit} %`;
    default:
      return `${gate.kind.startsWith('surface') ? 'surface' : 'air'} ${units.temp(gate.value)}, ${gate.kind.endsWith('min') ? 'at least' : 'at most'} ${units.temp(gate.limit)}`;
  }
}

function marginalReason(card: PartCard, units: Units): string {
  if (card.gate?.status === 'marginal') return `marginal: ${gateReason(card, units)}`;
  return 'marginal: may not stay dry until touch-dry';
}
