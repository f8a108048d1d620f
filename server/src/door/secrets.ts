import { createPrivateKey, generateKeyPairSync, randomBytes, type KeyObject } from 'node:crypto';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** What the server knows and the database does not: whoever has a copy of the database alone can neither make a session nor try pins. */
export interface Secrets {
  /** Cookies are signed with it. */
  readonly session: string;
  /** Mixed into pins before they are hashed. */
  readonly pepper: string;
  /** Ed25519: ends of the chain are signed with it. */
  readonly headKey: KeyObject;
}

const fresh = (): string => randomBytes(32).toString('base64url');
const freshKey = (): string =>
  generateKeyPairSync('ed25519').privateKey.export({ type: 'pkcs8', format: 'pem' }).toString();

/** Read from files of a folder of one's own, made where they are missing; null: new ones, for as long as the process runs. */
export function readSecrets(folder: string | null): Secrets {
  if (folder !== null) mkdirSync(folder, { recursive: true, mode: 0o700 });
  const read = (name: string, make: () => string): string => {
    if (folder === null) return make();
    const path = join(folder, name);
    try {
      // Two servers that start together: the first one's stands.
      writeFileSync(path, make(), { mode: 0o600, flag: 'wx' });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    return readFileSync(path, 'utf8');
  };
  return {
    session: read('session', fresh),
    pepper: read('pepper', fresh),
    headKey: createPrivateKey(read('head.pem', freshKey)),
  };
}
