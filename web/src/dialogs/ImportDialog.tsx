import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { ImportJob } from '@calvetta/contract';
import { KEYS } from '../api/keys.ts';
import { Refused, getJob, importFile } from '../api/client.ts';
import { refreshDerived, usePlaces } from '../api/queries.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../forms/Field.tsx';
import { Panel } from '../ui/Panel.tsx';

/** Reads a logger's CSV or a forecast: progress while it runs, every refused line named. */
export function ImportDialog({ onClose }: { readonly onClose: () => void }) {
  const [kind, setKind] = useState<'readings' | 'forecast'>('readings');
  const [placeId, setPlaceId] = useState<string | null>(null);
  const [file, setFile] = useState<File | null>(null);
  const [jobId, setJobId] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const places = usePlaces();
  const place = placeId ?? places[0]?.placeId ?? '';
  const start = (): void => {
    if (!file) {
      setProblem('choose a file first');
      return;
    }
    setProblem(null);
    importFile(kind, place, file)
      .then((r) => setJobId(r.jobId))
      .catch((e: unknown) =>
        setProblem(
          e instanceof Refused
            ? e.body.remedy
            : 'Calvetta does not answer; the file was not sent. Try again.',
        ),
      );
  };
  return (
    <Panel
      title="Import a CSV"
      subtitle="time, air and humidity in any order; surface if measured"
      onClose={onClose}
    >
      <div className="flex flex-col gap-4">
        <Choice
          label="What it holds"
          value={kind}
          options={[
            { value: 'readings', text: 'readings of a place' },
            { value: 'forecast', text: 'outdoor forecast, hourly' },
          ]}
          onChange={setKind}
        />
        {kind === 'readings' ? (
          <Choice
            label="Place"
            value={place}
            options={places.map((p) => ({ value: p.placeId, text: p.name }))}
            onChange={setPlaceId}
          />
        ) : null}
        <Field
          label="File"
          hint="commas, semicolons or tabs; decimal points or commas; times with an offset, or local to the shop"
          problem={problem}
        >
          <input
            type="file"
            accept=".csv,.txt,text/csv"
            onChange={(e) => setFile(e.target.files?.[0] ?? null)}
          />
        </Field>
        {jobId === null ? (
          <Button look="main" className="self-start" onClick={start}>
            Import
          </Button>
        ) : (
          <JobProgress jobId={jobId} onClose={onClose} />
        )}
      </div>
    </Panel>
  );
}

function JobProgress({ jobId, onClose }: { readonly jobId: string; readonly onClose: () => void }) {
  const client = useQueryClient();
  const job = useQuery({
    queryKey: KEYS.job(jobId),
    queryFn: () => getJob(jobId),
    refetchInterval: (q) => (q.state.data?.state === 'running' || !q.state.data ? 300 : false),
  });
  const isDone = job.data?.state === 'done';
  useEffect(() => {
    if (isDone) refreshDerived(client);
  }, [client, isDone]);
  if (!job.data) return <p role="status">Sending…</p>;
  const j = job.data;
  const share = j.bytesTotal ? Math.min(1, j.bytesRead / j.bytesTotal) : null;
  return (
    <div className="flex flex-col gap-3" role="status">
      <progress className="w-full" value={j.state === 'running' ? (share ?? undefined) : 1} />
      <p>
        {j.rowsRead.toLocaleString()} rows read: {j.rowsStored.toLocaleString()} stored,{' '}
        {j.rowsKnown.toLocaleString()} known already, {j.rowsRefused.toLocaleString()} refused.
      </p>
      {j.error ? (
        <p role="alert" className="text-bad">
          {j.error.remedy}
        </p>
      ) : null}
      <ProblemList job={j} />
      {j.state === 'running' ? null : (
        <Button look="main" className="self-start" onClick={onClose}>
          Close
        </Button>
      )}
    </div>
  );
}

function ProblemList({ job }: { readonly job: ImportJob }) {
  if (job.problems.length === 0) return null;
  return (
    <ul className="max-h-60 overflow-y-auto border border-line p-2 text-[13px]">
      {job.problems.map((p) => (
        <li key={`${p.line}${p.field}`}>
          line {p.line}, {p.field}: “{p.got}” · accepted: {p.accepts}
        </li>
      ))}
    </ul>
  );
}
