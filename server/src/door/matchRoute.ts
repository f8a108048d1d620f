import { API_ROUTES, RIGHTS, type Least } from '@calvetta/contract/schemas';

interface Known {
  readonly method: string;
  readonly like: RegExp;
  readonly least: Least | undefined;
}
/** Those without a blank first: `/ledger/hours` is no `/ledger/:id`. */
const blanks = (path: string): number => path.split(':').length;
const KNOWN: readonly Known[] = [...API_ROUTES]
  .sort((a, b) => blanks(a.path) - blanks(b.path))
  .map(({ method, path }) => ({
    method: method.toUpperCase(),
    like: new RegExp(`^${path.replaceAll('.', '\\.').replaceAll(/:\w+/g, '[^/]+')}$`),
    least: RIGHTS[`${method} ${path}`],
  }));

/** Who may go through at least; null: there is no such door, or nobody said who may. `path` as it stands in the address, below `/api`. */
export const leastFor = (method: string, path: string): Least | null =>
  KNOWN.find((k) => k.method === (method === 'HEAD' ? 'GET' : method) && k.like.test(path))?.least ?? null;
