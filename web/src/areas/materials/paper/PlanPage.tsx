// Who is with whom and what each group does, on one page to print.
import { useParams } from 'react-router';
import type { Schema } from '../../../api/client';
import { problemText } from '../../../api/problem';
import { markOf } from '../../../ui/signs/marks';
import { Sign } from '../../../ui/signs/Sign';
import * as m from '#messages';
import { PaperBar } from './PaperBar';
import { usePaper } from './usePaper';

type Paper = Schema['HandoutsView'];

const workText = (line: Schema['WorkLine']) =>
  `${line.title}${line.variant == null ? '' : ` (${line.variant})`}, ${m.edit_ways({ key: line.way })}`;

function Table({ group, slips }: { group: Schema['HandoutGroup']; slips: Paper['slips'] }) {
  return (
    <li className="min-w-0">
      <h2
        className="flex items-center gap-2 border-2 bg-white px-2 py-1 text-lg font-semibold wrap-anywhere"
        style={{ borderColor: markOf(group.mark).colour }}
      >
        <Sign mark={group.mark} size={20} />
        {group.name}
      </h2>
      {group.work.map((line, i) => (
        <p key={i} className="px-2 pt-1 text-sm wrap-anywhere">
          {workText(line)}
        </p>
      ))}
      <ol className="mt-1 flex flex-col gap-1">
        {slips.map((slip) => (
          <li key={slip.id} className="flex gap-2 border border-black bg-white px-2 py-0.5">
            <span className="w-4 shrink-0 text-end text-sm text-[#555c6c] tabular-nums">{slip.seat}</span>
            <span className="min-w-0 wrap-anywhere">
              {slip.name}
              {slip.role + slip.task !== '' && (
                <span className="block text-xs text-[#555c6c]">
                  {[slip.role, slip.task].filter((text) => text !== '').join(' · ')}
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
    </li>
  );
}

/** Who is with whom, with the work of each group: one page, for a wall or the teacher's hand. */
export function PlanPage() {
  const { id = '' } = useParams();
  const { data, error } = usePaper(id);
  if (error !== null) return <p className="p-8">{problemText(error)}</p>;
  if (data === undefined) return <p className="p-8 text-soft">{m.common_loading()}</p>;
  const standing = data.slips.filter((slip) => slip.group === null);
  return (
    <>
      <PaperBar
        paper={data}
        title={m.paper_plan()}
        pdf={`/api/staff/rounds/${id}/paper/plan.pdf?zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`}
      />
      {data.groups.length === 0 && <p className="p-8">{m.paper_noGroups()}</p>}
      {data.groups.length > 0 && (
        <main className="group-plan m-auto bg-white p-6 text-black print:p-0">
          <p className="font-head text-2xl font-semibold wrap-anywhere">{data.title}</p>
          <p className="mb-4 text-[#555c6c] wrap-anywhere">
            {[data.className, ...data.work.map(workText)].join(' · ')}
          </p>
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(13.5rem,1fr))] gap-5">
            {data.groups.map((group) => (
              <Table
                key={group.number}
                group={group}
                slips={data.slips.filter((slip) => slip.group === group.number)}
              />
            ))}
          </ul>
          {standing.length > 0 && (
            <p className="mt-5 wrap-anywhere">
              <strong>{m.paper_standing()}</strong> {standing.map((slip) => slip.name).join(', ')}
            </p>
          )}
        </main>
      )}
    </>
  );
}
