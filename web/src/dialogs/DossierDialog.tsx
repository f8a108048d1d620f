import { useEffect, useState } from 'react';
import { fetchDossier, type DossierProgress } from '../api/dossierClient.ts';
import { Foot } from '../forms/Foot.tsx';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';

interface Props {
  readonly machineId: string;
  readonly name: string;
  readonly onClose: () => void;
}
type Made =
  | { readonly is: 'making'; readonly progress: DossierProgress | null }
  | { readonly is: 'made'; readonly url: string }
  | { readonly is: 'broken' };

const LINK = 'figure inline-flex min-h-11 items-center rounded-sm border px-4';

/** The dossier of a machine while it is written: how far it is, and a way to stop it. */
export function DossierDialog({ machineId, name, onClose }: Props) {
  const [turn, setTurn] = useState(0);
  return (
    <Panel title="Dossier" subtitle={name} onClose={onClose}>
      <Making
        key={turn}
        machineId={machineId}
        name={name}
        onAgain={() => setTurn(turn + 1)}
        onClose={onClose}
      />
    </Panel>
  );
}

function Making({ machineId, name, onAgain, onClose }: Props & { readonly onAgain: () => void }) {
  const [made, setMade] = useState<Made>({ is: 'making', progress: null });
  useEffect(() => {
    const stop = new AbortController();
    let url: string | null = null;
    fetchDossier(machineId, (progress) => setMade({ is: 'making', progress }), stop.signal).then(
      (pdf) => {
        url = URL.createObjectURL(pdf);
        setMade({ is: 'made', url });
      },
      () => {
        if (!stop.signal.aborted) setMade({ is: 'broken' });
      },
    );
    return () => {
      stop.abort();
      if (url !== null) URL.revokeObjectURL(url);
    };
  }, [machineId]);
  if (made.is === 'made')
    return (
      <div className="flex flex-col gap-3">
        <p role="status">It is written.</p>
        <Foot>
          <a
            className={`${LINK} border-chosen bg-chosen text-chosen-ink`}
            href={made.url}
            target="_blank"
            rel="noreferrer"
          >
            Open it
          </a>
          <a className={`${LINK} border-ink/60`} href={made.url} download={`${name}.pdf`}>
            Save it
          </a>
        </Foot>
      </div>
    );
  if (made.is === 'broken')
    return (
      <div className="flex flex-col gap-3">
        <p role="alert" className="border-l-4 border-bad bg-ground p-3">
          It broke off before it was whole. Nothing of it was kept.
        </p>
        <Foot>
          <Button look="main" onClick={onAgain}>
            Try again
          </Button>
        </Foot>
      </div>
    );
  const { progress } = made;
  return (
    <div className="flex flex-col gap-3">
      <p role="status">
        {progress === null ? 'Gathering the record…' : `${progress.done} of ${progress.of} parts written`}
      </p>
      <progress
        className="h-2 w-full"
        max={progress?.of ?? 1}
        value={progress?.done ?? 0}
        aria-label="Written"
      />
      <Foot>
        <Button onClick={onClose}>Stop</Button>
      </Foot>
    </div>
  );
}
