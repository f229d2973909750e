import clsx from 'clsx';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Suspense, useState, type ReactNode } from 'react';
import { Link, useLocation, useParams, useSearchParams } from 'react-router';
import { useByTime, useServerNow } from '../../api/clock';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Action } from '../../ui/Actions';
import { Bar } from '../../ui/Bar';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/messages';
import { Gently } from '../../ui/Gently';
import { Page } from '../../ui/Page';
import { roomWindow } from '../../ui/roomWindow';
import { Tabs } from '../../ui/Tabs';
import { lazily, part } from '../../ui/lazily';
import { useKeys } from '../../ui/useKeys';
import * as m from '#messages';
import { lessonKeys } from '../../ui/shortcuts';
import { segmentName } from '../lesson/segmentName';
import { list } from '../../words/list';
import { DoorSign } from '../roster/DoorSign';
import { DealBar } from '../grouping/DealBar';
import { Floor } from '../grouping/Floor';
import { WayIn } from '../../ui/WayIn';
import { hasArrived } from '../grouping/NameTag';
import { hereAt, type Group } from '../grouping/Table';
import { LensContext, useLens } from '../grouping/lens';
import { LensChoice } from '../grouping/LensChoice';
import { useFloor } from '../grouping/useFloor';
import { useDoor } from '../roster/useDoor';
import { useMarkAbsent } from '../roster/useMarkAbsent';
import { nameOf } from '../lesson/OrderStrip';
import { LessonSlip } from '../lesson/LessonSlip';
import { titleBeside } from '../lesson/titleBeside';
import { useNewOriginal } from '../materials/useNewOriginal';
import { isThere } from '../rooms/useRooms';
import { isOtherLessonOn, LeaveOther, useAskToLeave } from './LeaveOther';
import { lateStudents } from './lateStudents';
import { LivePanel, OverPanel, WhoIsMissing } from './LivePanel';
import { NoticeBox, SaidNotices } from './NoticeBox';
import { phaseOf, type Phase } from './phase';
import { PlanPanel } from './PlanPanel';
import { Ribbon } from './Ribbon';
import { command, useCommand } from './useCommand';
import { signalOf, stateOf } from './signals';
import { TableChanges, TableSignals } from './TableSignals';
import { useLesson } from './useLesson';
import { useListening } from './useListening';
import { awayText, noteOf } from './whereabouts';

type View = 'floor' | 'work' | 'rooms' | 'original';
const viewText = { floor: m.lesson_floor, work: m.lesson_work, rooms: m.lesson_rooms, original: m.lesson_original };
const views: View[] = ['floor', 'work', 'rooms', 'original'];
/** Of a lesson that is over there is what came of it, and nothing to plan. */
const viewsOver: View[] = ['floor', 'work', 'rooms'];

function Trail({ lesson }: { lesson: Schema['LessonView'] }) {
  return (
    <div className="min-w-0 leading-tight">
      <div className="flex min-w-0 items-baseline gap-1">
        <Link
          to={`/classes/${lesson.classId}`}
          className="min-h-6 truncate text-sm underline max-sm:hidden decoration-line underline-offset-4 hover:decoration-ink"
        >
          {lesson.className}
        </Link>
        <LessonSlip key={lesson.id} lesson={lesson} />
      </div>
      <h1 className="line-clamp-2 font-head text-lg font-semibold" title={lesson.title}>
        {lesson.title}
      </h1>
    </div>
  );
}

// Loaded when first shown, so that the groups, the time and the next action don't wait for them.
const AsStudent = part(
  () => import('./AsStudent'),
  (file) => file.AsStudent,
);
const FillRounds = part(
  () => import('../lesson/FillRounds'),
  (file) => file.FillRounds,
);
const KeyList = part(
  () => import('../../ui/KeyList'),
  (file) => file.KeyList,
);
const Log = part(
  () => import('./Log'),
  (file) => file.Log,
);
const MaterialsView = lazily(() => import('../materials/MaterialsView'));
const MergeSheet = part(
  () => import('./SplitSheet'),
  (file) => file.MergeSheet,
);
const Pasting = part(
  () => import('./Pasting'),
  (file) => file.Pasting,
);
const RoomsThen = part(
  () => import('../rooms/RoomsThen'),
  (file) => file.RoomsThen,
);
const RoomsView = part(
  () => import('../rooms/RoomsView'),
  (file) => file.RoomsView,
);
const SplitSheet = part(
  () => import('./SplitSheet'),
  (file) => file.SplitSheet,
);
const WalkRound = part(
  () => import('./walk/WalkRound'),
  (file) => file.WalkRound,
);

const Claim = part(
  () => import('../roster/Claim'),
  (file) => file.Claim,
);

const Doorway = part(
  () => import('../roster/Doorway'),
  (file) => file.Doorway,
);

const FailedWork = part(
  () => import('./FailedWork'),
  (file) => file.FailedWork,
);

const HereAfterAll = part(
  () => import('./HereAfterAll'),
  (file) => file.HereAfterAll,
);

const Late = part(
  () => import('./Late'),
  (file) => file.Late,
);

const NewClassPage = part(
  () => import('./NewClassPage'),
  (file) => file.NewClassPage,
);

const StudentMoves = part(
  () => import('./StudentMoves'),
  (file) => file.StudentMoves,
);

const VisitPanel = part(
  () => import('./VisitPanel'),
  (file) => file.VisitPanel,
);

const AskDate = part(
  () => import('../lesson/AskDate'),
  (file) => file.AskDate,
);

const NextLesson = part(
  () => import('../lesson/NextLesson'),
  (file) => file.NextLesson,
);

const UsedBy = part(
  () => import('../grouping/UsedBy'),
  (file) => file.UsedBy,
);

function NotCurrent({ lesson }: { lesson: Schema['LessonView'] }) {
  const queries = useQueryClient();
  const { fail } = useMessages();
  const askToLeave = useAskToLeave();
  const bring = useMutation({
    mutationFn: (leaving: string | null) =>
      take(api.POST('/api/staff/lessons/{id}/current', { params: { path: { id: lesson.id } }, body: { leaving } })),
    onSuccess: (fresh) => queries.setQueryData(['lesson', lesson.id], fresh),
    onError: (error) => (isOtherLessonOn(error) ? askToLeave((leaving) => bring.mutate(leaving)) : fail(error)),
  });
  return (
    <Bar>
      {lesson.other === null
        ? m.lesson_notCurrent({ name: lesson.className })
        : m.round_other_bar({ className: lesson.className, lesson: titleBeside(lesson.other, [lesson]) })}
      <Button onClick={() => bring.mutate(null)} busy={bring.isPending}>
        {m.lesson_makeCurrent()}
      </Button>
    </Bar>
  );
}

/** Whether students may be waiting for it already. */
const isSoon = (lesson: Schema['LessonView'], at: number) =>
  lesson.other !== null || Math.abs((lesson.startsAt ?? 0) - at) < 12 * 3_600_000;

/** What did not come along when the lesson was given to this class. */
function NotCarried() {
  const { state } = useLocation() as { state: { notCarried?: string[] } | null };
  const [said, setSaid] = useState(state?.notCarried ?? []);
  if (said.length === 0) return null;
  return (
    <Bar>
      <ul className="min-w-0 flex-1">
        {said.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <Button onClick={() => setSaid([])}>{m.give_gotIt()}</Button>
    </Bar>
  );
}

/** Another round is on the floor than the one the lesson is in. */
function Elsewhere({ lesson, onBack }: { lesson: Schema['LessonView']; onBack: () => void }) {
  const { order } = lesson;
  const now = order.segments.find((segment) => segment.id === (order.now ?? lesson.roundNow.segmentId));
  if (now === undefined) return null;
  return (
    <Bar>
      {m.order_planning({ name: segmentName('round', lesson.round.number), now: nameOf(now) })}
      <Button onClick={onBack}>{m.order_backTo({ name: segmentName('round', lesson.roundNow.number) })}</Button>
    </Bar>
  );
}

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

function SidePanel({
  lesson,
  phase,
  control,
  door,
  onHere,
  onOriginal,
  onRooms,
  onMaterials,
  onSegment,
  visits,
  onLog,
}: {
  lesson: Schema['LessonView'];
  phase: Phase;
  visits: (isNext: boolean) => ReactNode;
  onLog: () => void;
  control: ReturnType<typeof useFloor>;
  door: ReturnType<typeof useDoor>;
  onHere: (student: Schema['SeatedStudent']) => void;
  onOriginal: () => void;
  onRooms: (paste: boolean) => void;
  onMaterials: () => void;
  onSegment: (segment: string) => void;
}) {
  const arrived = lesson.students.filter(hasArrived).length;
  const soon = useServerNow(30_000) + 30 * 60_000;
  const working = lesson.endedAt === null && phase !== 'planned' && phase !== 'back';
  const toDecide = (
    <>
      <FailedWork lesson={lesson} />
      <Doorway guests={lesson.doorway} shut={lesson.shut} students={lesson.students} door={door} />
      <HereAfterAll students={lesson.students} onHere={onHere} />
    </>
  );
  const log = (
    <Button look="quiet" className="self-start text-sm" onClick={onLog}>
      {m.round_log_open()}
    </Button>
  );
  return (
    <aside
      aria-label={m.next_title()}
      className="order-first flex w-full shrink-0 flex-col border-ink bg-sheet p-5 max-lg:border-b-2 lg:order-none lg:w-80 lg:overflow-y-auto lg:border-s-2"
    >
      {!working && toDecide}
      {lesson.endedAt !== null && <OverPanel lesson={lesson} endedAt={lesson.endedAt} />}
      {lesson.endedAt !== null && <div className="mt-4">{log}</div>}
      {lesson.endedAt === null && phase === 'planned' && (
        <>
          <PlanPanel
            lesson={lesson}
            control={control}
            again={false}
            onOriginal={onOriginal}
            onRooms={onRooms}
            onMaterials={onMaterials}
            onSegment={onSegment}
          />
          {(arrived > 0 || (lesson.current && (lesson.startsAt ?? 0) < soon)) && (
            <p className="mt-4 mb-4 text-sm text-soft">{m.live_doors({ n: arrived, all: lesson.students.length })}</p>
          )}
          <NextLesson lesson={lesson} others={lesson.order.now === null} />
        </>
      )}
      {lesson.endedAt === null && phase === 'back' && (
        <div className="flex flex-col gap-5">
          <WhoIsMissing lesson={lesson} asked="back" />
          <PlanPanel
            lesson={lesson}
            control={control}
            again
            onOriginal={onOriginal}
            onRooms={onRooms}
            onMaterials={onMaterials}
            onSegment={onSegment}
          />
          <section aria-label={m.live_notice()}>
            <h2 className="mb-1 font-sans text-sm font-semibold text-soft">{m.live_notice()}</h2>
            <NoticeBox lesson={lesson} />
          </section>
          <SaidNotices lesson={lesson} />
          {log}
          <NextLesson lesson={lesson} />
        </div>
      )}
      {working && (
        <>
          <Deciding lesson={lesson} />
          <LivePanel lesson={lesson} phase={phase} visits={visits} log={log} />
          <div id="to-decide" tabIndex={-1} className="mt-4">
            <Late lesson={lesson} control={control} />
            {toDecide}
          </div>
        </>
      )}
    </aside>
  );
}

function Lesson({ lesson, connected }: { lesson: Schema['LessonView']; connected: boolean }) {
  const [search, setSearch] = useSearchParams();
  const [help, setHelp] = useState(false);
  const [logOpen, setLogOpen] = useState(false);
  const [apart, setApart] = useState<{ what: 'split' | 'merge'; group: Group } | null>(null);
  const [asList, setAsList] = useState(false);
  /** Whose page is looked at; '' for anybody's. */
  const [seenAs, setSeenAs] = useState<string | null>(null);
  const queries = useQueryClient();
  const { fail } = useMessages();
  const control = useFloor(['lesson', lesson.id], lesson.floor);
  const refresh = () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
  const markAbsent = useMarkAbsent(refresh, fail);
  const door = useDoor(lesson.classId, refresh);
  const lens = useLens(lesson.students);
  const give = useCommand(lesson.id);
  // Waiting times on the tables are in minutes.
  const now = useServerNow(5_000);
  const isNow = lesson.round.id === lesson.roundNow.id;
  const phase = useByTime((at) => (isNow ? phaseOf(lesson.round.moments, at) : 'planned'));
  const soon = useByTime((at) => isSoon(lesson, at), 60_000);
  const [filling, setFilling] = useState(false);
  const [pasting, setPasting] = useState(false);
  const wayTo = (group: string | null) => {
    const room = lesson.rooms.find(
      (one) => one.purpose !== 'side' && one.groupId === group && isThere(one) && one.source !== 'classroom',
    );
    return room === undefined ? null : `/api/staff/rooms/${room.id}/way`;
  };
  const asked = search.get('view');
  const over = lesson.endedAt !== null;
  const shown = over ? viewsOver : views;
  const view = shown.find((one) => one === asked) ?? 'floor';
  const go = (to: View, segment: string | null) =>
    setSearch({ ...(to === 'floor' ? {} : { view: to }), ...(segment === null ? {} : { segment }) });
  const setView = (to: View) => go(to, search.get('segment'));
  const write = useNewOriginal(lesson, () => setView('original'));
  const show = (segment: string) => go(view, segment === lesson.roundNow.segmentId ? null : segment);
  const live = over || phase !== 'planned';
  const working = !over && live && phase !== 'back';
  useKeys({
    '?': () => setHelp(true),
    f: () => setView('floor'),
    w: () => setView('work'),
    o: () => !over && setView('original'),
    r: () => setView('rooms'),
    s: () => setSeenAs(''),
    l: () => setLogOpen(true),
    b: () => working && phase === 'out' && give.mutate(command('callBack')),
    m: () => live && !over && give.mutate(command('fetch')),
    v: () => lesson.visits[0] !== undefined && visit(lesson.visits[0].groupId),
    'Ctrl z': () => !over && lesson.floor.undo !== null && control.undo(),
    'Ctrl y': () => !over && lesson.floor.redo !== null && control.redo(),
  });
  const listening = useListening();
  const me = queries.getQueryData<Schema['Me']>(['me'])?.id ?? '';
  const earOf = (group: Group) => {
    const room = working
      ? lesson.rooms.find((one) => one.groupId === group.id && one.source === 'meetingService' && isThere(one))
      : undefined;
    return room === undefined ? undefined : { on: listening.room === room.id, press: () => listening.listen(room.id) };
  };
  const visit = (group: string) => {
    const way = wayTo(group);
    // The room opens with the press itself: a window that opens later is held back by the browser.
    if (way !== null) window.open(way, roomWindow);
    give.mutate(command('visit', { group }));
    setSearch({ view: 'work', group });
  };
  const away = new Map(
    (working ? lesson.students : [])
      .map((one) => [one.id, awayText(lesson, one)] as const)
      .filter(([, text]) => text !== ''),
  );
  const present = lesson.students.filter((student) => !student.absent).length;
  const nameOfStudent = (id: string) => lesson.students.find((student) => student.id === id)?.name ?? '';
  const open = useMutation({
    mutationFn: (room: string) => take(api.POST('/api/staff/rooms/{id}/opened', { params: { path: { id: room } } })),
    onSettled: refresh,
    onError: fail,
  });
  /** What helps a group whose room has to be opened by somebody who has not come. */
  const waitingOf = (
    group: Group,
    signal: Schema['GroupSignalView'],
    then: (what: () => void) => () => void,
  ): Parameters<typeof TableSignals>[0]['waiting'] => {
    const [lead] = signal.waitsFor;
    const room = lesson.rooms.find((one) => one.groupId === group.id);
    if (lead === undefined || room === undefined) return undefined;
    const others = lesson.students.filter(
      (one) => group.students.includes(one.id) && !signal.waitsFor.includes(one.id) && hasArrived(one),
    );
    return {
      text: m.round_waits_text({ names: list(signal.waitsFor.map(nameOfStudent)) }),
      leads: others,
      onLead: (id) => then(() => control.edit({ kind: 'swap', student: lead, other: id }))(),
      onOpen: then(() => {
        const way = wayTo(group.id);
        if (way !== null) window.open(way, roomWindow);
        open.mutate(room.id);
      }),
    };
  };
  const somebodyCame = lesson.students.some(hasArrived);
  const tableNote = (group: Group) => {
    if (!live) {
      const arrived = lesson.students.filter((student) => group.students.includes(student.id) && hasArrived(student));
      return arrived.length > 0 || somebodyCame
        ? m.live_arrivedOf({ n: arrived.length, all: hereAt(group, lesson.students) })
        : String(hereAt(group, lesson.students));
    }
    const there = lesson.students.filter(
      (student) => group.students.includes(student.id) && student.place === 'inPlace',
    ).length;
    return `${there}/${hereAt(group, lesson.students)}`;
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      {!connected && <Bar>{m.lesson_noStream()}</Bar>}
      <AskDate key={`when ${lesson.id}`} lesson={lesson} />
      <NotCarried key={lesson.id} />
      {!lesson.current && !lesson.template && !over && soon && <NotCurrent lesson={lesson} />}
      {lesson.template && (
        <Bar>
          {m.order_templateBar()}
          <NextLesson lesson={lesson} />
        </Bar>
      )}
      {!isNow && <Elsewhere lesson={lesson} onBack={() => go(view, null)} />}
      <Ribbon
        lesson={lesson}
        onEnd={(endsAt) => give.mutate(command('changeEnd', { endsAt: Math.round(endsAt) }))}
        onPause={(paused) => give.mutate(command(paused ? 'pause' : 'goOn'))}
        onShow={show}
        onGo={(segment) => give.mutate(command('begin', { segment }))}
        onFill={() => setFilling(true)}
        onOriginal={(original, round) =>
          setSearch({
            view: 'original',
            worksheet: original,
            ...(round === lesson.roundNow.segmentId ? {} : { segment: round }),
          })
        }
      />
      <Suspense fallback={null}>
        {filling && <FillRounds lesson={lesson} open onClose={() => setFilling(false)} />}
      </Suspense>
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <main className="flex min-h-0 min-w-0 flex-1 flex-col">
          <div
            className={clsx(
              'flex flex-wrap items-center gap-y-1 border-b border-line bg-sheet',
              working ? 'gap-x-1 px-4' : 'gap-x-6 px-5',
            )}
          >
            <Tabs
              label={m.lesson_views()}
              tabs={shown.map((one) => ({ value: one, label: viewText[one]() }))}
              shown={view}
              onShow={setView}
            />
            {view === 'floor' && working && (
              <div className="ms-auto text-sm">
                <DealBar floor={lesson.floor} students={present} control={control} live />
              </div>
            )}
            {wayTo(null) !== null && (
              <a
                href={wayTo(null) ?? ''}
                target={roomWindow}
                className={clsx(
                  'text-sm underline decoration-line underline-offset-4 hover:decoration-ink',
                  !(view === 'floor' && working) && 'ms-auto',
                )}
              >
                <WayIn className="me-1 inline-block" /> {m.lesson_toMain()}
              </a>
            )}
            {view === 'floor' && (
              <LensChoice lens={lens} className={working || wayTo(null) !== null ? '' : 'ms-auto'} />
            )}
            {view === 'floor' && (
              <Button
                look="quiet"
                className={clsx('text-sm', !working && wayTo(null) === null && lens.lenses.length < 2 && 'ms-auto')}
                aria-pressed={asList}
                onClick={() => setAsList(!asList)}
              >
                {asList ? m.floor_floorView() : m.floor_listView()}
              </Button>
            )}
            {view === 'floor' && !working && !over && (
              <Button look="quiet" className="text-sm" onClick={() => setSeenAs('')}>
                {m.asStudent_openAny()}
              </Button>
            )}
          </div>
          {view === 'floor' && (
            <>
              {!working && !over && (
                <div className="border-b border-line bg-sheet px-5 py-2">
                  <DealBar
                    floor={lesson.floor}
                    students={present}
                    control={control}
                    live={false}
                    mixBy={lesson.mixBy}
                  />
                </div>
              )}
              {!over && lesson.usedBy.length > 0 && <UsedBy uses={lesson.usedBy} />}
              <LensContext value={(id) => away.get(id) ?? lens.seen(id)}>
                <Floor
                  floor={lesson.floor}
                  students={lesson.students}
                  control={control}
                  onAbsent={(student, absent) => markAbsent.mutate({ id: student.id, absent })}
                  now={(student, onClose) =>
                    working && <StudentMoves lesson={lesson} student={student} onClose={onClose} />
                  }
                  more={(student, onClose) => (
                    <>
                      <Action
                        onPress={() => {
                          setSeenAs(student.id);
                          onClose();
                        }}
                      >
                        {m.asStudent_open()}
                      </Action>
                      {student.claimed && (
                        <Claim student={student} students={lesson.students} door={door} onClose={onClose} />
                      )}
                    </>
                  )}
                  live={live}
                  readOnly={over}
                  asList={asList}
                  noteOf={(student) => noteOf(lesson, student)}
                  wayTo={wayTo}
                  tableNote={tableNote}
                  earOf={earOf}
                  stateOf={(group) => {
                    const signal = signalOf(lesson, group.id);
                    return signal === undefined ? undefined : stateOf(signal, now, nameOfStudent);
                  }}
                  moreOfTable={(group, onClose) => {
                    const signal = signalOf(lesson, group.id);
                    if (signal === undefined) return null;
                    const then = (what: () => void) => () => {
                      what();
                      onClose();
                    };
                    return (
                      <TableSignals
                        name={group.name}
                        signal={signal}
                        onVisit={then(() => visit(group.id))}
                        onSee={then(() => give.mutate(command('seeCall', { group: group.id })))}
                        heard={earOf(group)?.on}
                        onListen={then(() => earOf(group)?.press())}
                        waiting={waitingOf(group, signal, then)}
                        onMark={(mark) => then(() => give.mutate(command('chalk', { group: group.id, mark })))()}
                      />
                    );
                  }}
                  changesOfTable={(group, onClose) => {
                    if (signalOf(lesson, group.id) === undefined) return null;
                    const then = (what: () => void) => () => {
                      what();
                      onClose();
                    };
                    return (
                      <TableChanges
                        name={group.name}
                        onCallBack={then(() =>
                          give.mutate(
                            command('takeAside', {
                              group: group.id,
                              place: 'main',
                              seconds: lesson.round.callBackSeconds,
                            }),
                          ),
                        )}
                        onSplit={group.students.length > 1 ? then(() => setApart({ what: 'split', group })) : undefined}
                        onMerge={
                          lesson.floor.groups.length > 1 ? then(() => setApart({ what: 'merge', group })) : undefined
                        }
                      />
                    );
                  }}
                />
              </LensContext>
            </>
          )}
          <Suspense fallback={<p className="p-5 text-soft">{m.common_loading()}</p>}>
            {view === 'work' && (
              <WalkRound
                key={search.get('group') ?? ''}
                lesson={lesson}
                visited={search.get('group')}
                onVisit={working ? visit : undefined}
              />
            )}
            {view === 'rooms' && over && <RoomsThen rooms={lesson.runRooms} />}
            {view === 'rooms' && !over && <RoomsView lesson={lesson} pasting={pasting} onPasting={setPasting} />}
            {view === 'original' && (
              <MaterialsView key={search.get('worksheet')} lesson={lesson} first={search.get('worksheet')} />
            )}
          </Suspense>
        </main>
        <SidePanel
          lesson={lesson}
          phase={phase}
          control={control}
          door={door}
          onLog={() => setLogOpen(true)}
          onHere={(student) => markAbsent.mutate({ id: student.id, absent: false })}
          onMaterials={() => setView('original')}
          onSegment={show}
          visits={(isNext) => (
            <VisitPanel
              lesson={lesson}
              isNext={isNext}
              me={me}
              busy={give.isPending}
              onVisit={visit}
              onLeave={() => {
                // The room makes way for the main session, in the meeting service, too.
                const way = wayTo(null);
                if (way !== null) window.open(way, roomWindow);
                give.mutate(command('leave'));
                setView('floor');
              }}
              onSee={(group) => give.mutate(command('seeCall', { group }))}
            />
          )}
          onRooms={(paste) => {
            setView('rooms');
            setPasting(paste);
          }}
          onOriginal={() => (lesson.handOut.length === 0 ? write.mutate() : setView('original'))}
        />
      </div>
      <Suspense fallback={null}>
        {logOpen && <Log lesson={lesson} open onClose={() => setLogOpen(false)} />}
        {apart?.what === 'split' && (
          <SplitSheet lesson={lesson} group={apart.group} onEdit={control.edit} onClose={() => setApart(null)} />
        )}
        {apart?.what === 'merge' && (
          <MergeSheet lesson={lesson} group={apart.group} onEdit={control.edit} onClose={() => setApart(null)} />
        )}
        {help && <KeyList open onClose={() => setHelp(false)} keys={lessonKeys()} />}
        {seenAs !== null && <AsStudent lesson={lesson} first={seenAs} onClose={() => setSeenAs(null)} />}
      </Suspense>
    </div>
  );
}

export function LessonPage() {
  const { id = '' } = useParams();
  const [search] = useSearchParams();
  const { lesson, connected } = useLesson(id, search.get('segment'));
  return (
    <div className="lg:h-[calc(100vh-var(--banner,0px))] lg:overflow-hidden [&>div]:lg:h-full [&>div]:lg:min-h-0">
      <Page
        title={lesson.data === undefined ? undefined : `${lesson.data.title} · ${lesson.data.className}`}
        trail={lesson.data !== undefined && <Trail lesson={lesson.data} />}
        aside={
          lesson.data !== undefined && (
            <p className="text-sm">
              {m.classes_doorWordOf()}{' '}
              <DoorSign
                doorWord={lesson.data.doorWord}
                className="text-lg"
                more={
                  <>
                    <p className="mt-6 text-lg print:hidden">
                      <a
                        href={lesson.data.classPage}
                        target="_blank"
                        rel="noopener"
                        className="font-semibold underline"
                      >
                        {m.door_classPage()} ↗
                      </a>
                      <NewClassPage lesson={lesson.data.id} />
                      <span className="block text-sm text-soft">{m.door_classPageLead()}</span>
                    </p>
                    <p className="mt-4 flex flex-wrap gap-x-6 gap-y-1 print:hidden">
                      <Link to={`/rounds/${lesson.data.round.id}/slips`} className="font-semibold underline">
                        {m.paper_openSlips()}
                      </Link>
                      <Link to={`/rounds/${lesson.data.round.id}/plan`} className="font-semibold underline">
                        {m.paper_openPlan()}
                      </Link>
                      {!lesson.data.template && (
                        <a
                          href={`/api/staff/lessons/${lesson.data.id}/calendar.ics`}
                          className="font-semibold underline"
                        >
                          {m.paper_openCalendar()}
                        </a>
                      )}
                    </p>
                    <Suspense fallback={null}>
                      <Pasting lesson={lesson.data} />
                    </Suspense>
                  </>
                }
              />
            </p>
          )
        }
      >
        {lesson.isPending && <p className="p-8 text-soft">{m.common_loading()}</p>}
        {lesson.isError && lesson.data === undefined && (
          <p className="p-8 font-semibold text-lost">{problemText(lesson.error)}</p>
        )}
        {lesson.data !== undefined && (
          <LeaveOther lesson={lesson.data}>
            <Gently>
              <Lesson lesson={lesson.data} connected={connected} />
            </Gently>
          </LeaveOther>
        )}
      </Page>
    </div>
  );
}
