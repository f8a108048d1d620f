export * from './errors.ts';
export * from './bench.ts';
