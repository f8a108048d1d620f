export * from './recipe.ts';
export * from './thinner.ts';
export * from './flowCup.ts';
export * from './cup.ts';
export * from './leftover.ts';
