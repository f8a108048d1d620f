import { TextDecoder, TextEncoder } from 'node:util';

// jsdom lacks these; libraries expect any browser to have them.
Object.assign(globalThis, { TextDecoder, TextEncoder });
