/** Node and browser halves of the tests share one transform; workspaces resolve to their sources. */
const common = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2023',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
};
const node = {
  ...common,
  testEnvironment: '<rootDir>/scripts/jest-environment.cjs',
  testEnvironmentOptions: { customExportConditions: ['@calvetta/source', 'node', 'node-addons'] },
};

const patient = { setupFilesAfterEnv: ['<rootDir>/scripts/jest-patience.mjs'] };

export default {
  projects: [
    { ...node, displayName: 'core', testMatch: ['<rootDir>/{core,contract}/src/**/*.test.ts'] },
    { ...node, ...patient, displayName: 'server', testMatch: ['<rootDir>/{server/src,demo}/**/*.test.ts'] },
    {
      ...common,
      displayName: 'web',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/web/src/**/*.test.{ts,tsx}'],
      testEnvironmentOptions: { customExportConditions: ['@calvetta/source', 'browser'] },
      setupFiles: ['<rootDir>/web/src/test/setup.mjs'],
    },
    { ...node, ...patient, displayName: 'e2e', testMatch: ['<rootDir>/e2e/**/*.test.ts'] },
  ],
};
