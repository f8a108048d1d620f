/**
 * Puts two runs of the bench side by side: `node bench/against.mjs before.txt after.txt`. The first figure of each line is compared (a
 * baseline that moved says how quiet the machine was); what only one of them measures is listed by itself.
 */
import { readFileSync } from 'node:fs';

/** @param {string} file @returns {Map<string, string>} value by section and line */
function linesOf(file) {
  const out = new Map();
  let section = '';
  for (const line of readFileSync(file, 'utf8').split('\n')) {
    const m = /^ {2}(\S.*?) {2,}(\S.*)$/.exec(line);
    if (m) out.set(`${section} · ${m[1]}`, m[2]);
    else if (/^\S/.test(line)) section = line.replace(/:.*$/, '').trim();
  }
  return out;
}
const figure = (/** @type {string} */ value) => Number(/(?<![\w.])-?\d+(?:\.\d+)?/.exec(value)?.[0]);

const [before, after] = process.argv.slice(2, 4).map((f) => linesOf(/** @type {string} */ (f)));
for (const [what, now] of after) {
  const was = before.get(what);
  if (was === undefined) {
    console.log(`${what}\n    new: ${now}`);
    continue;
  }
  const by = figure(now) / figure(was);
  const mark = by > 1.1 ? '  more by over a tenth' : by < 0.9 ? '  less by over a tenth' : '';
  console.log(`${what}\n    ${was}  ->  ${now}   × ${by.toFixed(2)}${mark}`);
}
for (const what of before.keys()) if (!after.has(what)) console.log(`${what}\n    measured only before`);
