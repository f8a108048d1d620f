import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from '@swc/core';

const GLOBALS = new URL('./globals.mjs', import.meta.url).href;
const PAGE_GLOBALS = new URL('./pageGlobals.mjs', import.meta.url).href;
const PAGE = new URL('../../web/', import.meta.url).href;

/** Jest's own package of this name speaks up when it is asked for outside of Jest's own worlds. */
export function resolve(specifier, context, next) {
  if (specifier !== '@jest/globals') return next(specifier, context);
  // Of the page each file gets one of its own, which puts the page back after every test.
  const url = context.parentURL.startsWith(PAGE)
    ? `${PAGE_GLOBALS}?${encodeURIComponent(context.parentURL)}`
    : GLOBALS;
  return { url, shortCircuit: true };
}

export async function load(url, context, next) {
  // A test file comes with a question mark: it is run anew each time it is asked for.
  const [file] = url.split('?');
  if (!/\.tsx?$/.test(file)) return next(url, context);
  const filename = fileURLToPath(file);
  const { code } = await transform(await readFile(filename, 'utf8'), {
    filename,
    swcrc: false,
    configFile: false,
    sourceMaps: 'inline',
    jsc: {
      target: 'es2023',
      parser: { syntax: 'typescript', tsx: file.endsWith('.tsx') },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
  });
  return { format: 'module', source: code, shortCircuit: true };
}
