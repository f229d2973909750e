// Any student’s page at any moment of the lesson, shown to the teacher.
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, whole, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { ChooseStudent } from '../../ui/fields/ChooseStudent';
import { Sheet } from '../../ui/slips/Sheet';
import * as m from '#messages';
import { segmentName } from '../lesson/segmentName';
import { Preview } from '../materials/edit/Preview';
import { phaseOf } from './phase';
import { NowPage } from './student/NowPage';

type Moment = 'before' | 'looking' | 'out' | 'comingBack' | 'back';
const moments: Moment[] = ['before', 'looking', 'out', 'comingBack', 'back'];

/** A moment of the running order: a segment, and of a round which part of it. */
function momentsOf(lesson: Schema['LessonView']): { value: string; label: string }[] {
  return lesson.order.segments.flatMap((segment) => {
    if (segment.kind !== 'round') return [{ value: `${segment.id}/before`, label: segmentName(segment.kind, null) }];
    return moments.map((moment) => ({
      value: `${segment.id}/${moment}`,
      label: `${segmentName('round', segment.round?.number ?? null)}: ${m.asStudent_moments({ key: moment })}`,
    }));
  });
}

/** The student's page on a phone. Links lead nowhere, and nothing that is filled in is kept. */
function Phone({ view }: { view: Schema['AsStudentView'] }) {
  const [sheet, setSheet] = useState<string | null>(null);
  const { now } = view;
  const open = view.sheets.find((one) => one.id === sheet);
  return (
    // Whoever presses here looks at the page, and does not go or leave for the student: only sheets open.
    <div
      className="mx-auto max-h-[70vh] w-[390px] max-w-full overflow-y-auto border-2 border-ink bg-ground p-5"
      onClickCapture={(event) => {
        if (open !== undefined) return;
        if (!(event.target instanceof Element) || event.target.closest('[data-sheet]') !== null) return;
        event.preventDefault();
        event.stopPropagation();
      }}
    >
      {open === undefined ? (
        <NowPage
          now={now}
          phase={phaseOf(now.moments, now.serverNow)}
          serverNow={now.serverNow}
          room={false}
          onSheet={setSheet}
          onLeft={() => undefined}
          onLook={() => undefined}
        />
      ) : (
        <>
          <Button look="quiet" className="mb-3" onClick={() => setSheet(null)}>
            {m.asStudent_back()}
          </Button>
          <Preview title={open.title} pages={whole(open.pages)} html={whole(open.html)} variant="" />
        </>
      )}
    </div>
  );
}

/** Any student's page, at any moment of the running order. */
export function AsStudent({
  lesson,
  first,
  onClose,
}: {
  lesson: Schema['LessonView'];
  /** Whose page at first; '' for anybody's. */
  first: string;
  onClose: () => void;
}) {
  const all = momentsOf(lesson);
  const [student, setStudent] = useState(
    (first === '' ? null : first) ??
      lesson.floor.groups[0]?.students[0] ??
      lesson.students.find((one) => !one.absent)?.id ??
      null,
  );
  const [moment, setMoment] = useState(`${lesson.round.segmentId}/out`);
  const [segment = '', named] = moment.split('/');
  const part = moments.find((one) => one === named) ?? 'before';
  const page = useQuery({
    queryKey: ['asStudent', student, moment],
    enabled: student !== null,
    staleTime: 0,
    queryFn: () =>
      take(
        api.GET('/api/staff/segments/{id}/as/{student}/{moment}', {
          params: { path: { id: segment, student: student ?? '', moment: part } },
        }),
      ),
  });
  return (
    <Sheet open onClose={onClose} title={m.asStudent_title()} wide>
      <div className="grid gap-6 md:grid-cols-[minmax(0,16rem)_minmax(0,1fr)]">
        <div className="space-y-4">
          <ChooseStudent
            label={m.asStudent_who()}
            students={lesson.students}
            chosen={student}
            onChoose={(id) => setStudent(id ?? student)}
          />
          <Choice label={m.asStudent_when()} value={moment} options={all} onChange={setMoment} />
          <p className="text-sm text-soft">{m.asStudent_lead()}</p>
        </div>
        {page.isError ? (
          <p role="alert">{problemText(page.error)}</p>
        ) : page.data === undefined ? (
          <p className="text-soft">{m.common_loading()}</p>
        ) : (
          <Phone key={`${student ?? ''}${moment}`} view={page.data} />
        )}
      </div>
    </Sheet>
  );
}
