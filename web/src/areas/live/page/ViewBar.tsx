// The bar over a lesson's view: which view, and what belongs to it.
import clsx from 'clsx';
import { Button } from '../../../ui/Button';
import { roomWindow } from '../../../ui/roomWindow';
import { Tabs } from '../../../ui/page/Tabs';
import { WayIn } from '../../../ui/signs/WayIn';
import * as m from '#messages';
import { DealBar } from '../../grouping/DealBar';
import { LensChoice } from '../../grouping/LensChoice';
import type { useLens } from '../../grouping/lens';
import type { LessonDesk } from './useLessonDesk';

const viewText = { floor: m.lesson_floor, work: m.lesson_work, rooms: m.lesson_rooms, original: m.lesson_original };

interface FloorTools {
  lens: ReturnType<typeof useLens>;
  asList: boolean;
  onAsList: (asList: boolean) => void;
}

/** What there is for the floor: the lens, floor or list, and the lesson as a student sees it. */
function FloorChoices({ desk, tools, atEnd }: { desk: LessonDesk; tools: FloorTools; atEnd: boolean }) {
  const { lens, asList, onAsList } = tools;
  return (
    <>
      <LensChoice lens={lens} className={atEnd ? 'ms-auto' : ''} />
      <Button
        look="quiet"
        className={clsx('text-sm', atEnd && lens.lenses.length < 2 && 'ms-auto')}
        aria-pressed={asList}
        onClick={() => onAsList(!asList)}
      >
        {asList ? m.floor_floorView() : m.floor_listView()}
      </Button>
      {!desk.working && !desk.over && (
        <Button look="quiet" className="text-sm" onClick={() => desk.setSheet({ kind: 'asStudent', student: null })}>
          {m.asStudent_openAny()}
        </Button>
      )}
    </>
  );
}

export function ViewBar({ desk, tools }: { desk: LessonDesk; tools: FloorTools }) {
  const { lesson, working, view, control } = desk;
  const toMain = desk.wayTo(null);
  const toMainHere = desk.hereAt(null) && desk.lesson.order.now !== null && !desk.over;
  const deals = view === 'floor' && working;
  return (
    <div
      className={clsx(
        'flex flex-wrap items-center gap-y-1 border-b border-line bg-sheet',
        working ? 'gap-x-1 px-4' : 'gap-x-6 px-5',
      )}
    >
      <Tabs
        label={m.lesson_views()}
        tabs={desk.available.map((one) => ({
          value: one,
          label: one === 'later' ? (desk.later ?? '') : viewText[one](),
        }))}
        shown={view}
        onShow={desk.setView}
      />
      {deals && (
        <div className="ms-auto text-sm">
          <DealBar
            floor={lesson.floor}
            students={lesson.students.filter((student) => !student.absent).length}
            control={control}
            live
          />
        </div>
      )}
      {toMainHere && (
        <Button look="quiet" className={clsx('text-sm', !deals && 'ms-auto')} onClick={() => desk.enterRoom(null)}>
          <WayIn className="me-1 inline-block" /> {m.lesson_toMain()}
        </Button>
      )}
      {toMain !== null && (
        <a
          href={toMain}
          target={roomWindow}
          className={clsx(
            'text-sm underline decoration-line underline-offset-4 hover:decoration-ink',
            !deals && 'ms-auto',
          )}
        >
          <WayIn className="me-1 inline-block" /> {m.lesson_toMain()}
        </a>
      )}
      {view === 'floor' && (
        <FloorChoices desk={desk} tools={tools} atEnd={!working && toMain === null && !toMainHere} />
      )}
    </div>
  );
}
