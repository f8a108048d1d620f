import { createPublicKey, sign, verify, type KeyObject } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { open, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { ChainHead, SignedHead } from '@calvetta/contract';

/** Ends of the chain, signed with a key that the database does not know, and kept outside of it. */
export interface Heads {
  sign(chain: string, head: ChainHead): SignedHead;
  keep(head: SignedHead): Promise<void>;
  kept(): Promise<readonly SignedHead[]>;
  /** Of a demo that is removed. */
  forget(chain: string): Promise<void>;
}

/** Before the key itself in its SPKI form (RFC 8410). */
const SPKI = Buffer.from('302a300506032b6570032100', 'hex');

const textOf = (h: Omit<SignedHead, 'publicKey' | 'signature'>): Buffer =>
  Buffer.from(['calvetta-head/1', h.chain, h.seq, h.hash, new Date(h.atMs).toISOString()].join('\n'));

/** Whether a head is as it was signed by the key that it names. Whose key that is, only whoever has seen it before can say. */
export function isSigned(h: SignedHead): boolean {
  try {
    const raw = Buffer.from(h.publicKey, 'hex');
    const key = createPublicKey({ key: Buffer.concat([SPKI, raw]), format: 'der', type: 'spki' });
    return verify(null, textOf(h), key, Buffer.from(h.signature, 'hex'));
  } catch {
    return false;
  }
}

/** Heads of a file, one a line, that are as they were signed; null or no such file: none. */
export function readHeads(path: string | null): SignedHead[] {
  if (path === null || !existsSync(path)) return [];
  return readFileSync(path, 'utf8')
    .split('\n')
    .flatMap((line) => {
      try {
        const head = JSON.parse(line) as SignedHead;
        return isSigned(head) ? [head] : [];
      } catch {
        // A line that was cut off by a fall.
        return [];
      }
    });
}

export function createHeads(key: KeyObject, folder: string | null, nowMs: () => number): Heads {
  const path = folder === null ? null : join(folder, 'heads.jsonl');
  const publicKey = createPublicKey(key).export({ format: 'der', type: 'spki' }).subarray(SPKI.length);
  let held: SignedHead[] = [];
  const kept = (): SignedHead[] => (path === null ? held : readHeads(path));
  return {
    sign(chain, { seq, hash }) {
      const head = { chain, seq, hash, atMs: nowMs() };
      return {
        ...head,
        publicKey: publicKey.toString('hex'),
        signature: sign(null, textOf(head), key).toString('hex'),
      };
    },
    async keep(head) {
      if (path === null) {
        held.push(head);
        return;
      }
      const file = await open(path, 'a', 0o600);
      try {
        await file.write(`${JSON.stringify(head)}\n`);
        await file.sync();
      } finally {
        await file.close();
      }
    },
    kept: () => Promise.resolve(kept()),
    async forget(chain) {
      held = held.filter((h) => h.chain !== chain);
      if (path === null || !existsSync(path)) return;
      const left = kept().filter((h) => h.chain !== chain);
      await writeFile(path, left.map((h) => `${JSON.stringify(h)}\n`).join(''), { mode: 0o600 });
    },
  };
}
