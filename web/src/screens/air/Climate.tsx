import { useState } from 'react';
import {
  corrosivityOf,
  DEPOSITS,
  SETTINGS,
  yearOf,
  type ClimateSetting,
  type Corrosivity,
  type MonthOfAir,
} from '@calvetta/core';
import type { PlaceAirResponse } from '@calvetta/contract';
import { ANSWER_WORDS, SETTING_WORDS } from '@calvetta/contract/words';
import { useClimate } from '../../api/queries.ts';
import { NumberField } from '../../forms/fields.tsx';
import { number } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';

/** How corrosive the outdoor air of a place is. */
export function Climate({ place }: { readonly place: PlaceAirResponse['place'] }) {
  const climate = useClimate(place.placeId);
  if (!climate.data?.isOutdoors) return null;
  return (
    <section
      aria-label="How corrosive it is here"
      className="flex flex-col gap-2 border border-line bg-panel p-3"
    >
      <h2 className="text-[16px]">How corrosive it is here</h2>
      <ClimateFinder months={climate.data.months} />
    </section>
  );
}

interface FinderProps {
  readonly months: readonly MonthOfAir[];
  /** Takes what was found as an answer; without it a person reads it only. */
  readonly onTake?: (category: Corrosivity) => void;
}
/** From a year of a place’s own readings, or from the means of a weather station nearby. It proposes; a person decides. */
export function ClimateFinder({ months, onTake }: FinderProps) {
  const [setting, setSetting] = useState<ClimateSetting>('country');
  const draft = useDraft(
    { meanC: number('°C', -17.1, 28.7), meanRhPct: number('%', 34, 93) },
    { meanC: '', meanRhPct: '' },
  );
  const own = yearOf(months);
  const isOwn = 'meanC' in own;
  const [c, rh] = isOwn ? [own.meanC, own.meanRhPct] : [draft.peek('meanC'), draft.peek('meanRhPct')];
  const { so2, chloride } = DEPOSITS[setting];
  const found = c === null || rh === null ? null : corrosivityOf({ meanC: c, meanRhPct: rh, so2, chloride });
  return (
    <div className="flex flex-col gap-2">
      <OneOf<ClimateSetting>
        label="What stands round it"
        size="small"
        value={setting}
        onChange={setSetting}
        options={SETTINGS.map((s) => ({ value: s, text: SETTING_WORDS[s] }))}
      />
      {isOwn ? (
        <p className="text-[14px] text-quiet">
          From twelve months of your own readings: {own.meanC.toFixed(1)} °C and {own.meanRhPct.toFixed(0)} %
          in the mean.
        </p>
      ) : (
        <>
          <p className="text-[14px] text-quiet">
            {own.months} of twelve months have twenty days of readings. Until then: the year’s means of a
            weather station nearby.
          </p>
          <div className="grid grid-cols-2 gap-2">
            <NumberField label="Mean of the year, °C" bound={draft.bind('meanC')} />
            <NumberField label="Mean humidity, %" bound={draft.bind('meanRhPct')} />
          </div>
        </>
      )}
      {found === null ? null : found.ok ? (
        <>
          <p className="border-l-4 border-wait bg-ground p-2 text-[16px]">
            About <strong>{found.value.category}</strong>
            {found.value.from === found.value.to
              ? ''
              : `, from ${found.value.from} to ${found.value.to}`}:{' '}
            {ANSWER_WORDS[found.value.category]}. In a survey you decide.
            {onTake ? (
              <Button className="mt-1 block" isInRow onClick={() => onTake(found.value.category)}>
                Answer {found.value.category}
              </Button>
            ) : null}
          </p>
          <p className="text-[14px]">
            Bare steel loses {um(found.value.steel.firstYearUm)} in its first year (
            {um(found.value.steel.fromUm)} to {um(found.value.steel.toUm)}) and{' '}
            {um(found.value.steel.tenYearsUm)} in ten; zinc {um(found.value.zinc.firstYearUm)} and{' '}
            {um(found.value.zinc.tenYearsUm)}. It says nothing of how long paint lasts.
          </p>
        </>
      ) : (
        <p role="alert" className="text-bad">
          The functions were made from {found.error.min} to {found.error.max} {found.error.unit}: this is
          outside.
        </p>
      )}
      <p className="text-[13px] text-quiet">
        Dose-response functions of ISO 9223, quoted from memory; what settles by surroundings is common
        practice.
      </p>
    </div>
  );
}
const um = (x: number): string => `${x < 10 ? x.toFixed(1) : x.toFixed(0)} µm`;
