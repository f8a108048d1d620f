/**
 * All run in plain Node, where files share what they import: modules are read, and made quick, once a worker and not once a file. What
 * needs a page gets one there. Workspaces resolve to their sources (`--conditions`, see bin/lib.sh).
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
      ...node,
      displayName: 'web',
      testMatch: ['<rootDir>/web/src/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/scripts/tests/pageWorker.mjs'],
    },
    { ...node, displayName: 'e2e', testMatch: ['<rootDir>/e2e/**/*.test.ts'] },
  ],
};
