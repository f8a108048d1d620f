import { useState } from 'react';
import { mintToken } from '../api/client.ts';
import { useNowMs } from '../state/clock.ts';
import { Button } from '../ui/Button.tsx';
import { FormTrouble } from './FormTrouble.tsx';
import { useSave } from './useSave.ts';

/** How a probe reports, with a token that is shown this once. */
export function ProbeToken({ probeId }: { readonly probeId: string }) {
  const nowMs = useNowMs();
  const save = useSave();
  const [token, setToken] = useState<string | null>(null);
  const at = new Date(nowMs).toISOString().slice(0, 19);
  return (
    <div className="text-[13px]">
      <Button
        disabled={save.isBusy}
        onClick={() => save.run(() => mintToken(probeId).then((r) => setToken(r.token)))}
      >
        Make a new token
      </Button>
      <FormTrouble words={save.trouble} />
      <p role="status" className="mt-2">
        {token === null
          ? 'A token is shown once. Making one ends the one before: the instrument must be given the new one.'
          : 'Copy it now: it is not shown again. The one before is worth nothing any more.'}
      </p>
      <pre className="mt-1 overflow-x-auto border border-line bg-ground p-2 whitespace-pre-wrap">{`curl -X POST '${location.origin}/api/readings?probe=${encodeURIComponent(probeId)}' \\
  -H 'Authorization: Bearer ${token ?? '<its token>'}' -H 'Content-Type: application/json' \\
  -d '{"readings":[{"at":"${at}Z","airC":12.4,"rhPct":71,"surfaceC":11.2}]}'`}</pre>
    </div>
  );
}
