/** Types only: the first chunk of the page imports these and nothing heavy. Schemas and words have doors of their own. */
export * from './api.ts';
export * from './errors.ts';
export * from './shop.ts';
export * from './shelf.ts';
