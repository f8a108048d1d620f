import { join } from 'node:path';

const DIST = join(import.meta.dirname, '..', '..', 'dist');

/** A program of the server as a shop runs it, compiled (`bin/test` does that first): what follows node's own name. */
export const program = (name: 'main' | 'door/cli' | 'backup/cli' | 'ledger/cli'): string =>
  join(DIST, `${name}.js`);
