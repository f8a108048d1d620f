import { advise, familiesOf, openFields, worthOf, type AskedField } from '@calvetta/core';
import type { WorthAsked, WorthFound } from './useWorth.ts';

/** Works out, field by field, how far each open answer would move the advice; a newer question stops an older one. */
let latest = 0;
const page = self as unknown as { postMessage: (m: WorthFound) => void };
const breath = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

self.onmessage = ({ data }: MessageEvent<WorthAsked>): void => {
  latest = data.no;
  void work(data);
};

async function work({ no, survey, means, sheets, pace }: WorthAsked): Promise<void> {
  const input = { survey, means, families: familiesOf(sheets), pace };
  const now = advise(input);
  const worth: (readonly [AskedField, number])[] = [];
  for (const field of openFields(survey)) {
    worth.push([field, worthOf(input, now, field)]);
    await breath();
    if (latest !== no) return;
  }
  page.postMessage({ no, worth });
}
