// What came of a lesson.
import type { ReactNode } from 'react';
import type { Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import * as m from '#messages';
import { ExitTickets } from '../debrief/exit/ExitTickets';
import { ticketsOf } from '../debrief/exit/tickets';
import { FiguresTable } from './FiguresTable';
import { PointsRule } from './PointsRule';
import { GroupsPart } from './GroupsPart';
import { Strips } from './Strips';
import { TeacherPath } from './TeacherPath';
import { useRecord } from './useRecord';

function Part({ id, title, children }: { id: string; title: string; children: ReactNode }) {
  return (
    <section id={id} aria-labelledby={`${id}-title`} className="mt-8 scroll-mt-4">
      <h2 id={`${id}-title`} className="mb-3 border-t-2 border-ink pt-2 text-xl">
        {title}
      </h2>
      {children}
    </section>
  );
}

function Exports({ lesson, hasPoints }: { lesson: string; hasPoints: boolean }) {
  const formats = [
    ['pdf', m.record_pdf()],
    ['csv', m.record_csv()],
    ...(hasPoints ? [['oneroster', m.record_oneroster()] as const] : []),
    ['json', m.record_json()],
  ] as const;
  return (
    <p className="mt-6 flex flex-wrap gap-4 text-sm">
      {formats.map(([format, title]) => (
        <a key={format} className="underline" href={`/api/staff/lessons/${lesson}/record.${format}`}>
          {title}
        </a>
      ))}
    </p>
  );
}

export function Record({ of }: { of: Schema['LessonView'] }) {
  const lesson = of.id;
  const record = useRecord(lesson);
  if (record.isPending) return <p className="p-5 text-soft">{m.common_loading()}</p>;
  if (record.isError) return <p className="p-5 font-semibold text-lost">{problemText(record.error)}</p>;
  const { data } = record;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto bg-ground px-5 pt-4 pb-10">
      <ul className="space-y-1 text-lg">
        {data.says.map((sentence) => (
          <li key={sentence.text} className="wrap-anywhere">
            <a
              href={`#${sentence.leadsTo}`}
              className="decoration-line underline-offset-4 hover:underline"
              onClick={(event) => {
                event.preventDefault();
                document.getElementById(sentence.leadsTo)?.scrollIntoView({ block: 'start' });
              }}
            >
              {sentence.text}
            </a>
          </li>
        ))}
      </ul>
      {ticketsOf(of).length > 0 && (
        <div className="mt-6 max-w-xl bg-sheet p-4">
          <ExitTickets lesson={of} />
        </div>
      )}
      <Part id="strips" title={m.record_strips()}>
        <Strips record={data} />
      </Part>
      <Part id="groups" title={m.record_groups()}>
        <GroupsPart record={data} />
      </Part>
      <Part id="teacher" title={m.record_teacher()}>
        <TeacherPath record={data} />
      </Part>
      <Part id="figures" title={m.record_figures()}>
        <FiguresTable record={data} />
        <PointsRule record={data} />
        <Exports lesson={lesson} hasPoints={data.pointsRule.length > 0} />
      </Part>
    </div>
  );
}
