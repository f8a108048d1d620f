export * from './errors.ts';
export * from './bench.ts';
export * from './why.ts';
export * from './route.ts';
export * from './shapes.ts';
export * from './rules.ts';
export * from './shelf.ts';
export * from './reasons.ts';
