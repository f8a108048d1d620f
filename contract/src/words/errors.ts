import type { ErrorCode } from '../errors.ts';

/** What would make it possible: one sentence per refusal, shared by server, page and documents. */
export const ERROR_REMEDIES: Readonly<Record<ErrorCode, string>> = {
  'invalid-input': 'Correct the fields named; nothing was stored.',
  'not-found': 'It may have been removed or renamed; go back and look again.',
  'version-conflict': 'Someone changed this meanwhile. Both versions are shown: keep one or join them.',
  'fact-conflict': 'This entry was already stored with other contents. Both are shown; record a correction.',
  'superseded-already':
    'Someone corrected this entry first. Both corrections are shown: correct the newer one if it is still wrong.',
  'in-the-future': 'Give a time that has passed.',
  'before-covered':
    'A coat cannot be earlier than the coat it covers: correct its time, or correct the earlier coat first.',
  'no-product': 'Choose the product and its sheet first; without a sheet no window can be given.',
  'coat-refused': 'Wait for the window, prepare the surface as said, or record it with a reason.',
  'route-refused':
    'Change the steps the rules name, or set it with a reason; it is kept in the part’s history.',
  'route-unsafe':
    'A matter of life and limb: no reason lifts it. Change the steps named, or refer the part to the people named.',
  'unknown-reference': 'Name a part, place, person or sheet of this workshop.',
  'contradicts-later': 'A later entry depends on this one: void or correct that first.',
  'closed-already':
    'Someone closed this finding first. Read what they wrote; correct their entry if it is wrong.',
  'finding-holds':
    'Only the answer of a licensed person ends this: log who answered and what. No reason of ours lifts it.',
  'bad-token': 'Use the token shown for this probe under Air.',
  'rate-limited': 'Send fewer, larger batches: up to 1 000 readings a time.',
  'too-large': 'Send it in smaller pieces, or import it as a file.',
  misdirected:
    'Calvetta answers to localhost and to its address in numbers. For a name, start it with PUBLIC_ORIGIN set to that name.',
  'foreign-page':
    'Only Calvetta’s own pages may write. From a script, send the header x-calvetta: 1 and no foreign Origin.',
  'content-type': 'Send application/json, or text/csv where a table is taken.',
  'no-owner':
    'This shop has no owner yet, so nobody signs in and nobody signs off: run bin/owner on its own computer.',
  'sign-in': 'Sign in first. What you wrote waits on this device and is sent once you are in.',
  'bad-phrase': 'Name and phrase, or pin, do not belong together. Try again; an owner can invite you anew.',
  'bad-invite': 'This invitation was used, or its ten minutes are over: ask for a new one.',
  'too-many-tries': 'Too many wrong ones: wait as long as it says, then try again.',
  'not-allowed': 'Ask somebody who may, or an owner for the right.',
  'last-owner': 'A shop keeps one owner at least: make somebody else an owner first.',
  'signed-changed':
    'Something was written down since the page was drawn. Look at it again, then sign what stands now.',
  'own-work': 'Nobody signs for their own work: have another inspector look at it.',
  'comes-in': 'This person may sign in here: an owner shuts them out under The door first.',
  busy: 'Too much at once, or the disk is nearly full. It waits here and is sent again by itself.',
  'working-out': 'The shop is being worked out after a start. Ask again in a second; nothing is lost.',
  'database-away': 'The database does not answer. The entry waits here and is sent again by itself.',
  'import-unreadable':
    'Save the file as CSV (UTF-8) with a heading row: time, air, humidity, and surface if measured.',
  internal: 'This is our fault, not yours; nothing was stored. Try again, and keep what you typed.',
};
