export * from './tins.ts';
export * from './ledger.ts';
export * from './cover.ts';
export * from './needs.ts';
export * from './laid.ts';
export * from './density.ts';
