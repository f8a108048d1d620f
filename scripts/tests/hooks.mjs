import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from '@swc/core';
import { jsc } from './transform.mjs';

const GLOBALS = new URL('./globals.mjs', import.meta.url).href;

/** Jest's own package of this name speaks up when it is asked for outside of Jest's own worlds. */
export function resolve(specifier, context, next) {
  return specifier === '@jest/globals' ? { url: GLOBALS, shortCircuit: true } : next(specifier, context);
}

export async function load(url, context, next) {
  // A test file comes with a question mark: it is run anew each time it is asked for.
  const [file] = url.split('?');
  if (!file.endsWith('.ts')) return next(url, context);
  const filename = fileURLToPath(file);
  const { code } = await transform(await readFile(filename, 'utf8'), {
    filename,
    swcrc: false,
    configFile: false,
    sourceMaps: 'inline',
    jsc: { ...jsc, parser: { syntax: 'typescript' } },
    module: { type: 'es6' },
  });
  return { format: 'module', source: code, shortCircuit: true };
}
