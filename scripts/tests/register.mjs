import { register } from 'node:module';

// Loaded before anything else in every process that runs tests in plain Node: TypeScript is read as it stands.
process.setSourceMapsEnabled(true);
register('./hooks.mjs', import.meta.url);
