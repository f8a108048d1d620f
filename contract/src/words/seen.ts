import { ACT_WORDS, GATE_STATUS_WORDS, GATE_WORDS, HEADLINE_WORDS } from './bench.ts';
import type { FigureWords } from './factDetail.ts';

/** How figures are said to whoever reads. */
type Figures = Pick<FigureWords, 'temp'> & {
  readonly area: (m2: number) => string;
  /** Of a difference. */
  readonly spread: (k: number) => string;
};

/** The words of a code; what is stored may be of another time, and a code without words is left out. */
const worded = (words: Readonly<Record<string, string>>, code: unknown): string | null =>
  typeof code === 'string' ? (words[code] ?? null) : null;
const isRecord = (v: unknown): v is Readonly<Record<string, unknown>> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

function airWords(c: unknown, { temp }: Figures): (string | null)[] {
  if (!isRecord(c)) return [];
  const degrees = (name: string, v: unknown): string | null =>
    typeof v === 'number' ? `${name} ${temp(v)}` : null;
  return [
    degrees('air', c['airC']),
    typeof c['rhPct'] === 'number' ? `humidity ${c['rhPct'].toFixed(0)} %` : null,
    degrees('metal', c['surfaceC']),
    degrees('dew point', c['dewPointC']),
  ];
}

/** A figure of a gate in its own unit: humidity, a difference or a temperature. */
function gateFigure(kind: unknown, value: unknown, figures: Figures): string | null {
  if (typeof value !== 'number' || typeof kind !== 'string') return null;
  if (kind.startsWith('rh-')) return `${value.toFixed(0)} %`;
  return kind === 'dew-margin' ? figures.spread(value) : figures.temp(value);
}

/** Gates that did not pass, each by its name with its limit and what was there; where all did, that. */
function gatesWords(gates: unknown, figures: Figures): string[] {
  if (!Array.isArray(gates) || gates.length === 0) return [];
  const open = gates.filter((g) => !isRecord(g) || g['status'] !== 'pass');
  if (open.length === 0) return [gates.length === 1 ? 'the gate passed' : `all ${gates.length} gates passed`];
  // One of another time is still one that did not pass.
  return open.map((g: unknown) => {
    const { kind, status, value, limit } = isRecord(g) ? g : {};
    const name = worded(GATE_WORDS, kind);
    const [is, asked] =
      name === null ? [null, null] : [value, limit].map((v) => gateFigure(kind, v, figures));
    const said = worded(GATE_STATUS_WORDS, status) ?? 'unknown';
    return `${name ?? 'a gate'}${asked ? ` ${asked}` : ''}: ${is ? `${is}, ` : ''}${said}`;
  });
}

/**
 * What stood on the page when somebody decided, as it was kept with the entry: state, what was offered, air and metal, gates, a verdict
 * on film. Whatever is not known by name is left out; the JSON of the entry has it.
 */
export function seenWords(evidence: Readonly<Record<string, unknown>> | null, figures: Figures): string[] {
  if (evidence === null) return [];
  const { headline, act, conditions, gates, verdict, areaM2 } = evidence;
  return [
    worded(HEADLINE_WORDS, headline),
    worded(ACT_WORDS, act),
    ...airWords(conditions, figures),
    ...gatesWords(gates, figures),
    typeof verdict === 'string' ? `film ${verdict}` : null,
    typeof areaM2 === 'number' ? figures.area(areaM2) : null,
  ].filter((w) => w !== null);
}
