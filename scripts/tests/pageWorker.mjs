import './worker.mjs';
import { runInNewContext } from 'node:vm';
import { JSDOM } from 'jsdom';

/**
 * A page in plain Node, before anything that reads one: what a window has stands in the open. The language is Node's, and so is time, for
 * tests that hold it.
 */
const { window } = new JSDOM('<!doctype html>', { url: 'http://localhost/', pretendToBeVisual: true });
const nodesOwn = new Set([
  ...runInNewContext('Object.getOwnPropertyNames(globalThis)'),
  ...[
    'console',
    'performance',
    'queueMicrotask',
    'setTimeout',
    'clearTimeout',
    'setInterval',
    'clearInterval',
  ],
  // A window's are made of these.
  ...['atob', 'btoa'],
]);
const names = [
  ...Object.getOwnPropertyNames(window),
  ...Object.getOwnPropertyNames(window.EventTarget.prototype),
].filter((name) => !nodesOwn.has(name) && name !== 'constructor' && !name.startsWith('_'));
for (const name of names) {
  const { value, get } = Object.getOwnPropertyDescriptor(window, name) ?? { value: window[name] };
  // A method asks whose it is; a class is the same wherever it stands.
  const isMethod = typeof value === 'function' && /^[a-z]/.test(name);
  Object.defineProperty(globalThis, name, {
    configurable: true,
    enumerable: true,
    ...(get
      ? { get: () => window[name], set: (v) => Object.assign(window, { [name]: v }) }
      : { writable: true, value: isMethod ? value.bind(window) : value }),
  });
}
// Nothing is laid out in jsdom: what waits for its width stays undrawn, as before the first layout.
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
