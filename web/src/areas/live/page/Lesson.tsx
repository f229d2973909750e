// A lesson on its page: the ribbon of time, one of its views, and the panel with what is to be done next.
import { Suspense, use, useState } from 'react';
import type { Schema } from '../../../api/client';
import { lazily, part } from '../../../ui/later/lazily';
import { useKeys } from '../../../ui/keys/useKeys';
import * as m from '#messages';
import { useLens } from '../../grouping/lens';
import { LessonPartsContext } from '../laterParts';
import { Ribbon } from '../ribbon/Ribbon';
import { useTeacherRoom } from '../../rooms/teacher/teacherRoom';
import { LessonBars } from './LessonBars';
import { LessonFloor } from './LessonFloor';
import { LessonSheets } from './LessonSheets';
import { SidePanel } from './SidePanel';
import { useLessonDesk, type LessonDesk } from './useLessonDesk';
import { ViewBar } from './ViewBar';

const MaterialsView = lazily(() => import('../../materials/plan/MaterialsView'));
const RoomsThen = part(
  () => import('../../rooms/RoomsThen'),
  (file) => file.RoomsThen,
);
const RoomsView = part(
  () => import('../../rooms/RoomsView'),
  (file) => file.RoomsView,
);
const RoomDock = part(
  () => import('../../rooms/teacher/RoomDock'),
  (file) => file.RoomDock,
);
const WalkRound = part(
  () => import('../walk/WalkRound'),
  (file) => file.WalkRound,
);

function useLessonKeys(desk: LessonDesk) {
  const { lesson, control, setSheet, setView, give, over, live, working, phase } = desk;
  useKeys({
    '?': () => setSheet({ kind: 'keys' }),
    f: () => setView('floor'),
    w: () => setView('work'),
    o: () => !over && setView('original'),
    r: () => setView('rooms'),
    s: () => setSheet({ kind: 'asStudent', student: null }),
    l: () => setSheet({ kind: 'log' }),
    b: () => working && phase === 'out' && give('callBack'),
    m: () => live && !over && give('fetch'),
    v: () => lesson.visits[0] !== undefined && desk.visit(lesson.visits[0].groupId),
    'Ctrl z': () => !over && lesson.floor.undo !== null && control.undo(),
    'Ctrl y': () => !over && lesson.floor.redo !== null && control.redo(),
  });
}

/** The views that are loaded when they are first shown. */
function OtherView({ desk }: { desk: LessonDesk }) {
  const { lesson, view, over, working, visited, worksheet } = desk;
  const { View } = use(LessonPartsContext);
  return (
    <Suspense fallback={<p className="p-5 text-soft">{m.common_loading()}</p>}>
      {view === 'later' && <View desk={desk} />}
      {view === 'work' && (
        <WalkRound key={visited ?? ''} lesson={lesson} visited={visited} onVisit={working ? desk.visit : undefined} />
      )}
      {view === 'rooms' && over && <RoomsThen rooms={lesson.runRooms} />}
      {view === 'rooms' && !over && <RoomsView lesson={lesson} pasting={desk.pasting} onPasting={desk.setPasting} />}
      {view === 'original' && <MaterialsView key={worksheet} lesson={lesson} first={worksheet} />}
    </Suspense>
  );
}

export function Lesson({ lesson, connected }: { lesson: Schema['LessonView']; connected: boolean }) {
  const desk = useLessonDesk(lesson);
  const lens = useLens(lesson.students);
  const { Bar, AroundFloor } = use(LessonPartsContext);
  const [asList, setAsList] = useState(false);
  const room = useTeacherRoom();
  useLessonKeys(desk);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <LessonBars desk={desk} connected={connected} />
      <Bar lesson={lesson} />
      <Ribbon
        lesson={lesson}
        onEnd={(endsAt) => desk.give('changeEnd', { endsAt: Math.round(endsAt) })}
        onPause={(paused) => desk.give(paused ? 'pause' : 'goOn')}
        onShow={desk.showSegment}
        onGo={(segment) => desk.give('begin', { segment })}
        onFill={() => desk.setSheet({ kind: 'fillRounds' })}
        onOriginal={desk.showOriginal}
      />
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <main className="flex min-h-0 min-w-0 flex-1 flex-col">
          <ViewBar desk={desk} tools={{ lens, asList, onAsList: setAsList }} />
          {!desk.over && room.place !== null && <RoomDock lesson={lesson} />}
          {desk.view === 'floor' && (
            <AroundFloor desk={desk}>
              <LessonFloor desk={desk} lens={lens} asList={asList} />
            </AroundFloor>
          )}
          <OtherView desk={desk} />
        </main>
        <SidePanel desk={desk} />
      </div>
      <LessonSheets desk={desk} />
    </div>
  );
}
