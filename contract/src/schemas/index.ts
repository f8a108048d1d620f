export * from './facts.ts';
export * from './readings.ts';
export * from './entities.ts';
export * from './shop.ts';
export * from './shelf.ts';
export * from './check.ts';
export * from './route.ts';
export * from './sheetSchema.ts';
export { joiOf, jsonSchemaOf } from './shape.ts';
