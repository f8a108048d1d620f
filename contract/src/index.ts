/** Types, and nothing heavy: the first chunk of the page imports these. Schemas and words have doors of their own. */
export * from './api.ts';
export * from './benchTick.ts';
export * from './chain.ts';
export * from './door.ts';
export * from './errors.ts';
export * from './plan.ts';
export * from './shop.ts';
export * from './shelf.ts';
