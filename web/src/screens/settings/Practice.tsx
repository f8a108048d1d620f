import { FACILITIES, type Facility, type Schools } from '@calvetta/core';
import type { MeansInfo } from '@calvetta/contract';
import { FACILITY_WORDS, SCHOOL_WORDS } from '@calvetta/contract/words';
import { refusedWords } from '../../record/refusal.ts';
import { useSend } from '../../record/useSend.ts';
import { meansWrite } from '../../record/write.ts';
import { useNotices } from '../../state/notices.ts';
import { AnyOf } from '../../ui/Toggle.tsx';
import { Choice } from '../../forms/Field.tsx';
import { Holds } from './Holds.tsx';

/** What the shop has, and its house practice where the trade splits: every route is judged by it. */
export function Practice({ means }: { readonly means: MeansInfo }) {
  const send = useSend();
  const say = useNotices((s) => s.say);
  const save = (facilities: readonly Facility[], schools: Schools): void => {
    send(meansWrite({ version: means.version, facilities, schools }), 'House practice stored').catch(
      (e: unknown) => say({ tone: 'trouble', text: refusedWords(e, 'It could not be stored; try again.') }),
    );
  };
  const school = (key: keyof Schools) => (
    <Choice<string>
      key={key}
      label={SCHOOL_WORDS[key].label}
      value={means.schools[key]}
      options={Object.entries(SCHOOL_WORDS[key].options as Readonly<Record<string, string>>).map(
        ([value, text]) => ({ value, text }),
      )}
      onChange={(value) => save(means.facilities, { ...means.schools, [key]: value })}
    />
  );
  return (
    <section
      id="practice"
      className="flex flex-col gap-3 border border-line bg-panel p-4"
      aria-label="House practice"
    >
      <h2 className="text-[18px]">House practice</h2>
      {means.isDefault ? (
        <p className="text-quiet">Nobody has said yet what this shop has: the defaults hold.</p>
      ) : null}
      <div>
        <span className="figure mb-1 block text-[13px] text-quiet" aria-hidden="true">
          The shop has
        </span>
        <AnyOf<Facility>
          label="The shop has"
          options={FACILITIES.map((f) => ({ value: f, text: FACILITY_WORDS[f] }))}
          value={means.facilities}
          onChange={(facilities) => save(facilities, means.schools)}
        />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        {(Object.keys(SCHOOL_WORDS) as (keyof Schools)[]).map(school)}
      </div>
      <Holds key={means.version} means={means} />
    </section>
  );
}
