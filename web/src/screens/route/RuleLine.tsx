import { Check, Minus, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Reason } from '@calvetta/core';
import { figureWords, reasonWords, SOURCE_KIND_WORDS } from '@calvetta/contract/words';
import { usePrefs } from '../../state/prefs.ts';
import { ruleOf } from './reasons.ts';

const ICONS = { for: Check, mind: TriangleAlert, against: Minus } as const;
const TONES = { for: 'text-good', mind: 'text-warn', against: 'text-bad' } as const;

interface Props {
  readonly tone: keyof typeof ICONS;
  readonly reason: Reason;
  /** Name of the zone it is about, where that is not the outside. */
  readonly zone?: string;
  /** What stands beside it: the one act that would mend it. */
  readonly children?: ReactNode;
}

/** A reason in a line, opening to its figures, rule and source. */
export function RuleLine({ tone, reason, zone, children }: Props) {
  const units = usePrefs((s) => s.units);
  const Icon = ICONS[tone];
  const rule = ruleOf(reason.ruleId);
  const numbers = figureWords(reason, units);
  return (
    <li className="border-t border-line/60 py-1">
      <details>
        <summary className="flex cursor-pointer list-none items-start gap-2">
          <Icon
            size={16}
            className={`mt-0.5 shrink-0 ${TONES[tone]}`}
            aria-label={tone === 'for' ? 'for it' : tone === 'mind' ? 'mind' : 'against it'}
          />
          <span>
            {zone ? <b className="font-semibold">{zone}: </b> : null}
            {reasonWords(reason, units)}
          </span>
        </summary>
        <p className="ml-6 text-[13px] text-quiet">
          {numbers ? `${numbers}. ` : ''}
          {rule
            ? `${SOURCE_KIND_WORDS[rule.source.kind]}${rule.source.kind === 'common-practice' ? '' : `: ${rule.source.text}`}. `
            : ''}
          <Link className="underline" to={`/reference#${reason.ruleId}`}>
            {reason.ruleId}
          </Link>
        </p>
      </details>
      {children}
    </li>
  );
}
