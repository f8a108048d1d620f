import { Away } from './client.ts';

/** How far the paper of a machine is. */
export interface DossierProgress {
  readonly done: number;
  readonly of: number;
}
type Line = Partial<DossierProgress> & { readonly pdf?: string; readonly isWhole?: boolean };

/** The dossier of a machine as PDF, told part by part how far it is. Throws `Away` where it broke off. */
export async function fetchDossier(
  machineId: string,
  tell: (progress: DossierProgress) => void,
  signal: AbortSignal,
): Promise<Blob> {
  const res = await fetch(`/api/machines/${encodeURIComponent(machineId)}/dossier.pdf`, {
    headers: { Accept: 'application/x-ndjson' },
    signal,
  });
  if (!res.ok || res.body === null) throw new Away(`status ${res.status}`);
  const pieces: Uint8Array<ArrayBuffer>[] = [];
  let isWhole = false;
  for await (const line of linesOf(res.body)) {
    const said = JSON.parse(line) as Line;
    if (said.pdf !== undefined) pieces.push(Uint8Array.from(atob(said.pdf), (c) => c.charCodeAt(0)));
    if (said.done !== undefined && said.of !== undefined) tell({ done: said.done, of: said.of });
    isWhole ||= said.isWhole === true;
  }
  if (!isWhole) throw new Away('it broke off');
  return new Blob(pieces, { type: 'application/pdf' });
}

async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let held = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    const lines = (held + decoder.decode(value, { stream: true })).split('\n');
    held = lines.pop() ?? '';
    yield* lines.filter((l) => l !== '');
  }
  if (held !== '') yield held;
}
