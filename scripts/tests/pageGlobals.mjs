import { cleanup } from '@testing-library/react';
import { afterEach } from './globals.mjs';

// Read anew for every test file of the page (hooks.mjs), so that each leaves the page as it found it: the next file has the same one.
afterEach(() => {
  cleanup();
  document.body.replaceChildren();
  localStorage.clear();
  sessionStorage.clear();
});

export * from './globals.mjs';
