import type { Schools, Survey } from '@calvetta/core';
import { SCHOOL_WORDS } from '@calvetta/contract/words';

interface Props {
  readonly survey: Survey;
  readonly house: Schools;
  readonly onAnswer: (patch: Partial<Survey>) => void;
}

/** House practice where the trade splits, and what this part does otherwise. */
export function PracticeHere({ survey, house, onAnswer }: Props) {
  const set = (key: keyof Schools, value: string): void => {
    const rest = Object.fromEntries(Object.entries(survey.practice).filter(([k]) => k !== key));
    onAnswer({ practice: value === '' ? rest : { ...rest, [key]: value } });
  };
  const others = Object.keys(survey.practice).length;
  return (
    <details className="border-t border-line pt-2">
      <summary className="figure cursor-pointer text-[15px] font-semibold">
        Done otherwise here{' '}
        <span className="text-[13px] font-normal text-quiet">
          {others === 0 ? 'as the house does it' : `${others} against the house`}
        </span>
      </summary>
      <div className="mt-2 flex flex-col gap-2">
        {(Object.keys(SCHOOL_WORDS) as (keyof Schools)[]).map((key) => {
          const options = SCHOOL_WORDS[key].options as Readonly<Record<string, string>>;
          return (
            <label key={key} className="grid grid-cols-[minmax(0,1fr)_150px] items-center gap-2 text-[14px]">
              <span className={survey.practice[key] === undefined ? '' : 'font-semibold'}>
                {SCHOOL_WORDS[key].label}
              </span>
              <select
                aria-label={SCHOOL_WORDS[key].label}
                className="min-h-8! py-0! text-[14px] pointer-coarse:min-h-11!"
                value={survey.practice[key] ?? ''}
                onChange={(e) => set(key, e.target.value)}
              >
                <option value="">house: {options[house[key]]}</option>
                {Object.entries(options).map(([value, words]) => (
                  <option key={value} value={value}>
                    {words}
                  </option>
                ))}
              </select>
            </label>
          );
        })}
      </div>
    </details>
  );
}
