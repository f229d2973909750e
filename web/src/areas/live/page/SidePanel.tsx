// The panel beside a lesson's groups: what is to be done next, as the lesson stands.
import { use, type ReactNode } from 'react';
import { useServerNow } from '../../../api/clock';
import type { Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { part } from '../../../ui/later/lazily';
import * as m from '#messages';
import { hasArrived } from '../../grouping/floor/NameTag';
import { LessonPartsContext } from '../laterParts';
import { lateStudents } from '../panel/lateStudents';
import { LivePanel, OverPanel, WhoIsMissing } from '../panel/LivePanel';
import { NoticeBox, SaidNotices } from '../panel/NoticeBox';
import { PlanPanel } from '../plan/PlanPanel';
import { useMe } from './useMe';
import type { LessonDesk } from './useLessonDesk';

const Doorway = part(
  () => import('../../roster/door/Doorway'),
  (file) => file.Doorway,
);
const FailedWork = part(
  () => import('../panel/FailedWork'),
  (file) => file.FailedWork,
);
const HereAfterAll = part(
  () => import('../panel/HereAfterAll'),
  (file) => file.HereAfterAll,
);
const Late = part(
  () => import('../panel/Late'),
  (file) => file.Late,
);
const NextLesson = part(
  () => import('../../lesson/NextLesson'),
  (file) => file.NextLesson,
);
const SpeakToAll = part(
  () => import('../../rooms/teacher/RoomDock'),
  (file) => file.SpeakToAll,
);
const VisitPanel = part(
  () => import('../panel/VisitPanel'),
  (file) => file.VisitPanel,
);

/**
 * Says in one line, always kept free for it, that something further down the panel waits for the teacher's decision.
 */
function Deciding({ lesson }: { lesson: Schema['LessonView'] }) {
  const late = lateStudents(lesson).length;
  const parts = [
    ...(lesson.doorway.length > 0 ? [m.live_waitingToJoin({ n: lesson.doorway.length })] : []),
    ...(late > 0 ? [m.live_withoutGroup({ n: late })] : []),
    ...(lesson.failed.length > 0 ? [m.live_failed({ n: lesson.failed.length })] : []),
  ];
  return (
    <div role="status" className="-mt-3 mb-1 min-h-7 text-sm">
      {parts.length > 0 && (
        <a href="#to-decide" className="block bg-attention px-2 py-1 font-semibold text-on-accent underline">
          {parts.join(' · ')}
        </a>
      )}
    </div>
  );
}

/** What waits for the teacher's decision. */
function ToDecide({ desk: { lesson, door, setAbsent } }: { desk: LessonDesk }) {
  return (
    <>
      <FailedWork lesson={lesson} />
      <Doorway guests={lesson.doorway} shut={lesson.shut} students={lesson.students} door={door} />
      <HereAfterAll students={lesson.students} onHere={(student) => setAbsent(student, false)} />
    </>
  );
}

function Planned({ desk }: { desk: LessonDesk }) {
  const { lesson } = desk;
  const arrived = lesson.students.filter(hasArrived).length;
  const soon = useServerNow(30_000) + 30 * 60_000;
  const { TryOut } = use(LessonPartsContext);
  return (
    <>
      <PlanPanel desk={desk} again={false} />
      {!lesson.template && lesson.order.now === null && <TryOut desk={desk} />}
      {(arrived > 0 || (lesson.current && (lesson.startsAt ?? 0) < soon)) && (
        <p className="mt-4 mb-4 text-sm text-soft">{m.live_doors({ n: arrived, all: lesson.students.length })}</p>
      )}
      <NextLesson lesson={lesson} others={lesson.order.now === null} />
    </>
  );
}

/** Everybody is back, and the next round is prepared. */
function Back({ desk, log }: { desk: LessonDesk; log: ReactNode }) {
  const { lesson } = desk;
  const { Panel } = use(LessonPartsContext);
  return (
    <div className="flex flex-col gap-5">
      <Panel desk={desk}>
        <WhoIsMissing lesson={lesson} asked="back" />
        <PlanPanel desk={desk} again />
      </Panel>
      <section aria-label={m.live_notice()}>
        <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{m.live_notice()}</h2>
        <NoticeBox lesson={lesson} />
      </section>
      <SaidNotices lesson={lesson} />
      {log}
      <NextLesson lesson={lesson} />
    </div>
  );
}

function Working({ desk, log }: { desk: LessonDesk; log: ReactNode }) {
  const { lesson, control, phase } = desk;
  const me = useMe();
  const visits = (isNext: boolean) => (
    <>
      <VisitPanel
        lesson={lesson}
        isNext={isNext}
        me={me}
        busy={desk.busy}
        onVisit={desk.visit}
        onLeave={desk.leaveVisit}
        onSee={(group) => desk.give('seeCall', { group })}
      />
      {lesson.floor.groups.some((group) => desk.hereAt(group.id)) && (
        <div className="mt-3">
          <SpeakToAll lesson={lesson} />
        </div>
      )}
    </>
  );
  return (
    <>
      <Deciding lesson={lesson} />
      <LivePanel lesson={lesson} phase={phase} visits={visits} log={log} />
      <div id="to-decide" tabIndex={-1} className="mt-4">
        <Late lesson={lesson} control={control} />
        <ToDecide desk={desk} />
      </div>
    </>
  );
}

export function SidePanel({ desk }: { desk: LessonDesk }) {
  const { lesson, over, phase, working } = desk;
  const log = (
    <Button look="quiet" className="self-start text-sm" onClick={() => desk.setSheet({ kind: 'log' })}>
      {m.round_log_open()}
    </Button>
  );
  return (
    <aside
      aria-label={m.next_title()}
      className="order-first flex w-full shrink-0 flex-col border-ink bg-sheet p-5 max-lg:border-b-2 lg:order-none lg:w-80 lg:overflow-y-auto lg:border-s-2"
    >
      {!working && <ToDecide desk={desk} />}
      {lesson.endedAt !== null && <OverPanel lesson={lesson} endedAt={lesson.endedAt} />}
      {over && <div className="mt-4">{log}</div>}
      {!over && phase === 'planned' && <Planned desk={desk} />}
      {!over && phase === 'back' && <Back desk={desk} log={log} />}
      {working && <Working desk={desk} log={log} />}
    </aside>
  );
}
