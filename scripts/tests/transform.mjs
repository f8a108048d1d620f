/** How TypeScript becomes JavaScript in tests: one way for those in plain Node and for those on a page. */
export const jsc = {
  target: 'es2023',
  parser: { syntax: 'typescript', tsx: true },
  transform: { react: { runtime: 'automatic' } },
};
