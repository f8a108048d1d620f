import type { ImportJob, ImportProblem } from '@calvetta/contract';
import { errorBody } from '../http/errors.ts';

/** Only this many problems are kept to show; all are counted. */
const SHOWN_PROBLEMS = 200;
const KEPT_JOBS = 50;

/** A job while it runs: counted up by the importer, read by the page. */
export interface RunningJob {
  read(bytes: number): void;
  row(stored: 'new' | 'known' | 'refused', n?: number): void;
  problem(p: ImportProblem): void;
}

export interface Jobs {
  start(
    kind: string,
    bytesTotal: number | null,
    work: (job: RunningJob) => Promise<void>,
    onProgress: (jobId: string) => void,
  ): string;
  find(jobId: string): ImportJob | null;
}

/** Import jobs of this process. Their results are in the database; the counts are only for the person who waits. */
export function createJobs(newId: () => string): Jobs {
  const jobs = new Map<
    string,
    { -readonly [K in keyof ImportJob]: ImportJob[K] } & { problems: ImportProblem[] }
  >();
  return {
    start(kind, bytesTotal, work, onProgress) {
      const jobId = newId();
      const job = {
        jobId,
        kind,
        state: 'running' as ImportJob['state'],
        rowsRead: 0,
        rowsStored: 0,
        rowsKnown: 0,
        rowsRefused: 0,
        bytesRead: 0,
        bytesTotal,
        problems: [] as ImportProblem[],
        error: null as ImportJob['error'],
      };
      jobs.set(jobId, job);
      for (const old of [...jobs.keys()].slice(0, -KEPT_JOBS)) jobs.delete(old);
      const running: RunningJob = {
        read: (bytes) => (job.bytesRead += bytes),
        row(stored, n = 1) {
          job.rowsRead += n;
          if (stored === 'new') job.rowsStored += n;
          else if (stored === 'known') job.rowsKnown += n;
          else job.rowsRefused += n;
        },
        problem: (p) => job.problems.length < SHOWN_PROBLEMS && job.problems.push(p),
      };
      work(running)
        .then(() => (job.state = 'done'))
        .catch((error: unknown) => {
          job.state = 'failed';
          job.error = errorBody(error);
        })
        .finally(() => onProgress(jobId));
      return jobId;
    },
    find: (jobId) => jobs.get(jobId) ?? null,
  };
}
