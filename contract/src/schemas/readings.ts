import Joi from 'joi';
import { instant } from './time.ts';
import type { ReadingInput } from '../api.ts';

/** Range a probe may report; outside it is refused with the range. */
export const READING_RANGE = { airC: [-40, 50], rhPct: [1, 100], surfaceC: [-40, 120] } as const;

const range = ([min, max]: readonly [number, number]) => Joi.number().min(min).max(max);

export const readingInput = Joi.object<ReadingInput>({
  at: instant.required(),
  airC: range(READING_RANGE.airC).required(),
  rhPct: range(READING_RANGE.rhPct).required(),
  surfaceC: range(READING_RANGE.surfaceC).allow(null),
});

/** What a probe posts: at most 1 000 readings at a time. */
export const readingsInput = Joi.object<{ readings: ReadingInput[] }, true>({
  readings: Joi.array().items(readingInput).min(1).max(1000).required(),
});

/** A reading typed by a person for a place. */
export const handReadingInput = Joi.object<ReadingInput & { placeId: string }>({
  placeId: Joi.string().max(64).required(),
  at: instant.required(),
  airC: range(READING_RANGE.airC).required(),
  rhPct: range(READING_RANGE.rhPct).required(),
  surfaceC: range(READING_RANGE.surfaceC).allow(null),
});

export const forecastHourInput = Joi.object<{ at: string; airC: number; rhPct: number }, true>({
  at: instant.required(),
  airC: range(READING_RANGE.airC).required(),
  rhPct: range(READING_RANGE.rhPct).required(),
});
