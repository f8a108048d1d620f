import { TextDecoder, TextEncoder } from 'node:util';

// jsdom lacks these; libraries expect any browser to have them.
Object.assign(globalThis, { TextDecoder, TextEncoder });

// Nothing is laid out in jsdom: what waits for its width stays undrawn, as before the first layout.
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
