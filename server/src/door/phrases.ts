import { createHmac } from 'node:crypto';
import { AppError } from '../http/errors.ts';
import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB and two passes, as OWASP's Password Storage Cheat Sheet asks at least (value quoted from memory). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
/** More at once would take the memory and the processor from those who work. */
const AT_ONCE = 2;
/** Whoever comes when so many wait is sent away: a flood of wrong phrases must not keep everybody else at the door. */
const MOST_WAITING = 40;

let running = 0;
const waiting: (() => void)[] = [];
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (waiting.length >= MOST_WAITING) throw new AppError('busy', {});
  while (running >= AT_ONCE) await new Promise<void>((go) => waiting.push(go));
  running += 1;
  try {
    return await work();
  } finally {
    running -= 1;
    waiting.shift()?.();
  }
}

/** The same letters however they were typed. */
const plain = (phrase: string): string => phrase.normalize('NFKC');

export const hashPhrase = (phrase: string): Promise<string> => inTurn(() => hash(plain(phrase), COST));

/** Of nobody: an unknown name takes as long as a known one. */
let nobody: Promise<string> | null = null;
/** Whether it is the one; null: of nobody, and the answer is no after the same time. */
export async function isPhrase(phraseHash: string | null, phrase: string): Promise<boolean> {
  nobody ??= hashPhrase('nobody has this one');
  const against = phraseHash ?? (await nobody);
  const isIt = await inTurn(() => verify(against, plain(phrase)));
  return isIt && phraseHash !== null;
}

/** Six digits are soon tried through: without the key outside the database their hash says nothing. */
export const peppered = (pepper: string, personId: string, pin: string): string =>
  createHmac('sha256', pepper).update(`${personId}\n${pin}`).digest('base64url');
