import type { Schema } from '../../api/client';
import { edit as words } from '../../words/edit';

/** How far something is that is made bit by bit. */
export function JobProgress({ job, label }: { job: Schema['JobView']; label: string }) {
  if (job.state === 'failed')
    return (
      <p role="alert" className="font-semibold text-lost">
        {job.failure ?? words.jobFailed}
      </p>
    );
  return (
    <p role="status" className="flex items-center gap-3 text-sm">
      {label}
      <progress className="h-3 w-40 accent-ink" max={job.total} value={job.done}>
        {words.jobAt(job.done, job.total)}
      </progress>
      {words.jobAt(job.done, job.total)}
    </p>
  );
}
