import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { expect, it } from '@jest/globals';

const ROOT = join(import.meta.dirname, '..', '..');
const pages = ['.', 'docs', 'docs/decisions'].flatMap((folder) =>
  readdirSync(join(ROOT, folder))
    .filter((f) => f.endsWith('.md'))
    .map((f) => join(ROOT, folder, f)),
);
const linksOf = (page: string): string[] =>
  [...readFileSync(page, 'utf8').matchAll(/\]\(([^)#\s]+)(?:#[^)]*)?\)/g)].map((m) => m[1]!);

it('every link of a page leads to something that is in the repository', () => {
  const links = pages.flatMap((page) =>
    linksOf(page)
      .filter((to) => !/^[a-z]+:/.test(to))
      .map((to) => ({ page, to, at: join(dirname(page), to) })),
  );
  // Decisions, pictures and pages: far more than one of each.
  expect(links.length).toBeGreaterThan(80);
  expect(links.filter((l) => !existsSync(l.at)).map((l) => `${relative(ROOT, l.page)}: ${l.to}`)).toEqual([]);
});
it('every decision stands in the list of them', () => {
  const listed = linksOf(join(ROOT, 'docs', 'decisions', 'README.md'));
  const there = pages.filter((p) => /\/\d{4}-[^/]+$/.test(p)).map((p) => p.slice(p.lastIndexOf('/') + 1));
  expect(there.length).toBeGreaterThan(30);
  expect(there.filter((d) => !listed.includes(d))).toEqual([]);
});
