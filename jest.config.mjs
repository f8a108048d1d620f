import { jsc } from './scripts/tests/transform.mjs';

/**
 * What needs no page runs in plain Node, where files share what they import: modules are read, and made quick, once a worker and not once
 * a file. Workspaces resolve to their sources (`--conditions`, see bin/lib.sh).
 */
const node = {
  runner: 'jest-light-runner/child-process',
  setupFiles: ['<rootDir>/scripts/tests/worker.mjs'],
  transform: {},
};

export default {
  projects: [
    { ...node, displayName: 'core', testMatch: ['<rootDir>/{core,contract}/src/**/*.test.ts'] },
    { ...node, displayName: 'server', testMatch: ['<rootDir>/{server/src,demo}/**/*.test.ts'] },
    {
      displayName: 'web',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/web/src/**/*.test.{ts,tsx}'],
      testEnvironmentOptions: { customExportConditions: ['@calvetta/source', 'browser'] },
      setupFiles: ['<rootDir>/web/src/test/setup.mjs'],
      extensionsToTreatAsEsm: ['.ts', '.tsx'],
      transform: { '^.+\\.tsx?$': ['@swc/jest', { jsc, module: { type: 'es6' } }] },
    },
    { ...node, displayName: 'e2e', testMatch: ['<rootDir>/e2e/**/*.test.ts'] },
  ],
};
