// Slips with passes, one a student, to print.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, take, type Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { Button } from '../../../ui/Button';
import { Code } from '../../../ui/signs/Code';
import { markOf } from '../../../ui/signs/marks';
import { useMessages } from '../../../ui/page/messages';
import { Picture } from '../../../ui/signs/Picture';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { JobProgress } from '../cupboard/JobProgress';
import { useJob } from '../cupboard/useJob';
import { PaperBar } from './PaperBar';
import { usePaper } from './usePaper';

type Paper = Schema['HandoutsView'];

function Slip({ slip, paper }: { slip: Schema['Handout']; paper: Paper }) {
  const group = paper.groups.find((one) => one.number === slip.group);
  return (
    <li className="slip relative flex flex-col justify-between overflow-hidden bg-white p-[6mm] text-black">
      <div className="grid grid-cols-[minmax(0,1fr)_34mm] gap-[4mm]">
        <div className="min-w-0">
          <p className="truncate text-[9pt]">
            {paper.className} · {paper.title}
          </p>
          <p
            className={`line-clamp-3 pb-[1mm] font-head leading-tight font-semibold wrap-anywhere ${slip.name.length > 40 ? 'text-[13pt]' : 'text-[21pt]'}`}
          >
            {slip.name}
          </p>
          {slip.picture != null && <Picture number={slip.picture} size={64} />}
          {group !== undefined && (
            <p className="mt-[1.5mm] flex items-center gap-[2mm] text-[17pt] font-semibold wrap-anywhere">
              <span
                className="inline-flex size-[7mm] shrink-0 border-2"
                style={{ borderColor: markOf(group.mark).colour }}
              >
                <Sign mark={group.mark} size={22} />
              </span>
              <span className="line-clamp-2">{group.name}</span>
            </p>
          )}
          {slip.seat !== null && (
            <p className="mt-[1mm] line-clamp-2 text-[13pt]">
              {m.paper_number({ n: slip.seat })}
              {slip.role === '' ? '' : `: ${slip.role}`}
            </p>
          )}
          {slip.task !== '' && <p className="line-clamp-2 text-[12pt]">{slip.task}</p>}
        </div>
        <div className="text-center">
          <Code text={window.location.origin + slip.pass} className="w-full" />
          <p className="mt-[0.5mm] text-[11pt] font-semibold">{m.paper_scan()}</p>
        </div>
      </div>
      <p className="text-[11pt] wrap-anywhere">
        {m.paper_way({ address: `${window.location.host}/student` })}{' '}
        <strong className="text-[15pt]">{paper.doorWord}</strong>
      </p>
    </li>
  );
}

/** New passes for the class; slips given out before open the door no more. */
function NewPasses({ paper, round }: { paper: Paper; round: string }) {
  const queries = useQueryClient();
  const { say, fail } = useMessages();
  const renew = useMutation({
    mutationFn: () => take(api.POST('/api/staff/classes/{id}/passes', { params: { path: { id: paper.classId } } })),
    onSuccess: () => say(m.paper_renewed()),
    onError: fail,
    onSettled: () => queries.invalidateQueries({ queryKey: ['paper', round] }),
  });
  return (
    <Button look="quiet" busy={renew.isPending} title={m.paper_renewLead()} onClick={() => renew.mutate()}>
      {m.paper_renew()}
    </Button>
  );
}

/** The slips of a large class as a file: made bit by bit, and taken away when it is there. */
function ManySlips({ round }: { round: string }) {
  const { fail } = useMessages();
  const { job, follow } = useJob();
  const begin = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/paper/slips', { params: { path: { id: round } } })),
    onSuccess: follow,
    onError: fail,
  });
  if (job?.file != null)
    return (
      <a href={job.file} download className="font-semibold underline decoration-line underline-offset-4">
        {m.paper_pdf()}
      </a>
    );
  return (
    <>
      {job !== null && <JobProgress job={job} label={m.paper_making()} />}
      {job?.state !== 'working' && (
        <Button busy={begin.isPending} onClick={() => begin.mutate()}>
          {m.paper_make()}
        </Button>
      )}
    </>
  );
}

/** One slip a student, eight to a sheet of A4, to be cut along the lines: who they are with, and their own way in. */
export function SlipsPage() {
  const { id = '' } = useParams();
  const { data, error } = usePaper(id);
  if (error !== null) return <p className="p-8">{problemText(error)}</p>;
  if (data === undefined) return <p className="p-8 text-soft">{m.common_loading()}</p>;
  return (
    <>
      <PaperBar
        paper={data}
        title={m.paper_slips({ n: data.slips.length })}
        pdf={data.bitByBit ? <ManySlips round={id} /> : `/api/staff/rounds/${id}/paper/slips.pdf`}
      >
        {data.slips.length > 0 && <NewPasses paper={data} round={id} />}
      </PaperBar>
      {data.slips.length === 0 && <p className="p-8">{m.paper_nobody()}</p>}
      <ul className="slips">
        {data.slips.map((slip) => (
          <Slip key={slip.id} slip={slip} paper={data} />
        ))}
      </ul>
    </>
  );
}
