import { jest } from '@jest/globals';

// A database and a browser on a busy machine: what counts is the answer, not how soon.
jest.setTimeout(120_000);
