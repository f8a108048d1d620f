import type { Failure } from '@calvetta/core';

/** What cannot be true together, by core's name of the rule. */
const CONTRADICTIONS: Readonly<Record<string, string>> = {
  'slower-when-warmer': 'This would get slower as it gets warmer: look at the times and temperatures again.',
  'one-time-per-temperature': 'Two times for one temperature: keep one.',
  'shuts-before-it-opens': 'The longest time ends before the shortest: look at both again.',
};

/** A typed failure at its field: what is wrong and what would be accepted. */
export function failureWords(f: Failure): string {
  switch (f.code) {
    case 'out-of-range':
      return `${f.got === null ? 'That' : Number(f.got.toFixed(1))} ${f.unit} is outside ${f.min} to ${f.max} ${f.unit}`;
    case 'not-a-quantity':
      return `“${f.text}” is not a number here: write ${f.accepts.join(' or ')}`;
    case 'which-unit':
      return `Which unit is ${f.text}? Write ${f.choices.map((c) => `“${f.text} ${c}”`).join(' or ')}`;
    case 'contradiction':
      return CONTRADICTIONS[f.rule.split(':')[0]!] ?? `This contradicts itself: ${f.rule}`;
  }
}
