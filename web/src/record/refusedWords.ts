import { Refused } from '../api/client.ts';

/** What a server that said no would accept; for anything else the page's own words. */
export const refusedWords = (error: unknown, otherwise: string): string =>
  error instanceof Refused ? error.body.remedy : otherwise;
