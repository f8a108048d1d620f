import {
  blankSurvey,
  familiesOf,
  RULES,
  stripDoubts,
  stripTakes,
  type HandsTrouble,
  type StripMethod,
} from '@calvetta/core';
import type { PartDetail } from '@calvetta/contract';
import { figureWords, INDUCTION_WORDS, mayWords, reasonWords } from '@calvetta/contract/words';
import { Link } from 'react-router';
import { usePrefs } from '../state/prefs.ts';
import { useHandsTrouble } from '../words/handsTrouble.ts';
import { useSheets, useShop } from '../api/queries.ts';

interface Props {
  readonly part: PartDetail;
  readonly method: StripMethod;
}

/** What speaks against a strip on this metal, with its figures and its rule, before it is logged. */
export default function StripDoubts({ part, method }: Props) {
  const units = usePrefs((s) => s.units);
  const hands = useHandsTrouble(stripTakes(method));
  const shop = useShop().data;
  const sheets = useSheets().data?.sheets;
  if (!shop || !sheets) return null;
  const { massKg, thicknessMm, card } = part;
  const survey = part.survey ?? { ...blankSurvey(card.substrate), massKg, thicknessMm, areaM2: card.areaM2 };
  const steps = part.route.map((s) => ({
    kind: s.kind as 'strip',
    ...(s.what === null ? {} : { what: s.what }),
  }));
  const doubts = stripDoubts({
    survey,
    means: shop.means,
    families: familiesOf(sheets),
    rules: RULES,
    method,
    steps,
  });
  if (doubts.length === 0) return hands ? <NotShown trouble={hands} /> : null;
  return (
    <>
      {hands ? <NotShown trouble={hands} /> : null}
      <div role="alert" className="border-l-4 border-bad bg-ground p-3 text-[14px]">
        <p className="font-semibold">Was it really that? Something speaks against it on this metal:</p>
        <ul>
          {doubts.map((d) => (
            <li key={d.ruleId}>
              {reasonWords(d, units)}{' '}
              <span className="text-[13px] text-quiet">
                {figureWords(d, units)} ·{' '}
                <Link className="underline" to={`/reference#${d.ruleId}`}>
                  {d.ruleId}
                </Link>
              </span>
            </li>
          ))}
        </ul>
        <p>If it was done all the same, log it, and look at the metal before anything goes on.</p>
      </div>
    </>
  );
}

function NotShown({ trouble }: { readonly trouble: HandsTrouble }) {
  return (
    <p role="alert" className="border-l-4 border-bad bg-ground p-3 text-[14px]">
      Whoever holds this device has no standing induction for {INDUCTION_WORDS[trouble.to]} (
      {mayWords(trouble.may)}). Logged all the same, it stands on the part as not conforming.
    </p>
  );
}
