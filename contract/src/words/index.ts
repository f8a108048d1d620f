export * from './errors.ts';
export * from './bench.ts';
export * from './why.ts';
