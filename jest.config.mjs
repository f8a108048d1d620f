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
    // Stories too: they stand on the server's modules, which are read once for both.
    { ...node, displayName: 'server', testMatch: ['<rootDir>/{server/src,demo,e2e}/**/*.test.ts'] },
    {
      ...node,
      displayName: 'web',
      testMatch: ['<rootDir>/web/src/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/scripts/tests/pageWorker.mjs'],
    },
  ],
};
