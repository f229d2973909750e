import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Code } from '../../ui/Code';
import { markOf } from '../../ui/marks';
import { Sign } from '../../ui/Sign';
import { words } from '../../words';
import { whenText } from '../lesson/when';
import { doorLink } from '../roster/doorLink';
import { slipsOf, type Slip } from './slips';

type Lesson = Schema['LessonView'];

function OneSlip({ slip, lesson }: { slip: Slip; lesson: Lesson }) {
  return (
    <li className="slip relative flex flex-col justify-between overflow-hidden bg-white p-[6mm] text-black">
      <div className="grid grid-cols-[minmax(0,1fr)_27mm] gap-[4mm]">
        <div className="min-w-0">
          <p className="truncate text-[9pt]">
            {lesson.className} · {lesson.title}
          </p>
          <p className="font-head text-[21pt] leading-tight font-semibold wrap-anywhere">{slip.name}</p>
          {slip.group !== null && (
            <p className="mt-[1.5mm] flex items-center gap-[2mm] text-[17pt] font-semibold wrap-anywhere">
              <span
                className="inline-flex size-[7mm] shrink-0 border-2"
                style={{ borderColor: markOf(slip.group.mark).colour }}
              >
                <Sign mark={slip.group.mark} size={22} />
              </span>
              {slip.group.name}
            </p>
          )}
          {slip.seat !== null && (
            <p className="mt-[1mm] text-[13pt]">
              {words.slips.number(slip.seat)}
              {slip.role === '' ? '' : `: ${slip.role}`}
            </p>
          )}
          {slip.task !== '' && <p className="line-clamp-2 text-[12pt]">{slip.task}</p>}
        </div>
        <div>
          <Code text={doorLink(lesson.doorWord, slip.name)} className="w-full" />
        </div>
      </div>
      <p className="text-[11pt] wrap-anywhere">
        {words.slips.way(`${window.location.host}/student`)} <strong className="text-[15pt]">{lesson.doorWord}</strong>
      </p>
    </li>
  );
}

/** One slip a student, eight to a sheet of A4, to be cut along the lines: who they are with, and the way in. */
export function SlipsPage() {
  const { id = '' } = useParams();
  const lesson = useQuery({
    queryKey: ['slips', id],
    queryFn: () => take(api.GET('/api/staff/lessons/{id}', { params: { path: { id } } })),
  });
  const desk = useQuery({
    queryKey: ['slips', 'desk', lesson.data?.floor.id],
    enabled: lesson.data !== undefined,
    queryFn: () =>
      take(api.GET('/api/staff/groupings/{id}', { params: { path: { id: lesson.data?.floor.id ?? '' } } })),
  });
  const error = lesson.error ?? desk.error;
  if (error !== null) return <p className="p-8">{problemText(error)}</p>;
  if (lesson.data === undefined || desk.data === undefined)
    return <p className="p-8 text-soft">{words.common.loading}</p>;
  const slips = slipsOf(lesson.data, desk.data.numbers);
  return (
    <>
      <header className="flex flex-wrap items-center gap-4 border-b-2 border-ink bg-sheet px-5 py-3 print:hidden">
        <h1 className="text-xl font-semibold">{words.slips.title(slips.length)}</h1>
        <p className="text-sm text-soft">
          {lesson.data.title} · {lesson.data.startsAt === null ? '' : whenText(lesson.data.startsAt)}
        </p>
        <Button look="main" className="ml-auto" onClick={() => window.print()}>
          {words.slips.print}
        </Button>
      </header>
      {slips.length === 0 && <p className="p-8">{words.slips.nobody}</p>}
      <ul className="slips">
        {slips.map((slip) => (
          <OneSlip key={slip.id} slip={slip} lesson={lesson.data} />
        ))}
      </ul>
    </>
  );
}
