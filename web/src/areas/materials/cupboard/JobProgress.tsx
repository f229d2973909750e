import type { Schema } from '../../../api/client';
import * as m from '#messages';

/** How far something is that is made bit by bit. */
export function JobProgress({ job, label }: { job: Schema['JobView']; label: string }) {
  if (job.state === 'failed')
    return (
      <p role="alert" className="font-semibold text-lost">
        {job.failure ?? m.edit_jobFailed()}
      </p>
    );
  const percent = m.edit_jobAt({ percent: Math.round((100 * job.done) / Math.max(1, job.total)) });
  return (
    <p role="status" className="flex items-center gap-3 text-sm">
      {label}
      <progress className="h-3 w-40 accent-ink" max={job.total} value={job.done}>
        {percent}
      </progress>
      {percent}
    </p>
  );
}
