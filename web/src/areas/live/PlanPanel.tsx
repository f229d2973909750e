import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useState, type ReactNode } from 'react';
import { part } from '../../ui/lazily';
import { Link, useNavigate } from 'react-router';
import { api, take, type Schema } from '../../api/client';
import { groupingsQuery } from '../../api/lists';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useMessages } from '../../ui/messages';
import { NumberField } from '../../ui/NumberField';
import { SavedText } from '../../ui/SavedText';
import { useSettled } from '../../ui/useSettled';
import * as m from '#messages';
import { segmentName } from '../lesson/segmentName';
import { list as listed } from '../../words/list';
import { RepairSheet, useRepair } from '../grouping/Repair';
import type { FloorControl } from '../grouping/useFloor';
import { nameOf } from '../lesson/OrderStrip';
import { useOrder } from '../lesson/useOrder';
import { ReadyNow, WorthALook } from '../ready/ReadyNow';
import { useSendingLine } from '../ready/useSendingLine';
import { useLooking, useSetUp } from '../ready/useSetUp';
import { nextStep, setUp, stops, type NextKind, type NextStep } from './nextStep';
import { Prepared } from './Prepared';
import { command, useCommand } from './useCommand';

const SendingSheet = part(
  () => import('../ready/SendingSheet'),
  (file) => file.SendingSheet,
);
const SetUpProgress = part(
  () => import('../ready/SetUpProgress'),
  (file) => file.SetUpProgress,
);
const BringChanges = part(
  () => import('../materials/BringChanges'),
  (file) => file.BringChanges,
);
const SetUpSheet = part(
  () => import('../ready/SetUpSheet'),
  (file) => file.SetUpSheet,
);

type Lesson = Schema['LessonView'];

/** A line without a box is about something that need not be. */
function Line({ done, title, children }: { done?: boolean | undefined; title: string; children: ReactNode }) {
  return (
    <li className="grid grid-cols-[1.5rem_minmax(0,1fr)] border-b border-line py-2 last:border-0">
      {done === undefined ? (
        <span aria-hidden="true" className="mt-2.5 w-4 border-t-2 border-line" />
      ) : (
        <span aria-hidden="true" className={`mt-0.5 size-4 border-2 border-ink ${done ? 'bg-ink' : ''}`} />
      )}
      <div>
        <span className="font-semibold">{title}</span> <span className="text-sm text-soft">{children}</span>
      </div>
    </li>
  );
}

/** How the round goes: what to do, how long, and what happens by itself. */
function RoundFields({ lesson }: { lesson: Lesson }) {
  const { fail } = useMessages();
  const { round } = lesson;
  const control = useOrder(lesson.id, lesson.order);
  const [auto, setAuto] = useState<boolean | null>(null);
  const save = (body: Schema['EditSegment']) => control.edit(round.segmentId, body);
  return (
    <details className="border-b border-line py-2">
      <summary className="min-h-6 font-semibold">
        {segmentName('round', round.number)}{' '}
        <span className="text-sm font-normal text-soft">
          {m.common_minutes({ n: round.minutes })}
          {round.autoCallBack && m.next_thenBack()}
        </span>
      </summary>
      <div className="mt-3 grid grid-cols-2 items-end gap-3">
        <div className="col-span-2">
          <SavedText
            key={round.id}
            label={m.next_instructions()}
            hint={m.next_instructionsHint()}
            value={round.instructions}
            maxLength={2000}
            onSave={(instructions) =>
              save({ instructions }).catch((problem: unknown) => {
                fail(problem);
                throw problem;
              })
            }
          />
        </div>
        <NumberField
          key={`minutesOut${round.id}`}
          label={m.next_minutesOut()}
          value={round.minutes}
          min={1}
          max={600}
          onSave={(minutes) => save({ minutes })}
        />
        <NumberField
          key={`lookSeconds${round.id}`}
          label={m.next_lookSeconds()}
          value={round.lookSeconds}
          min={0}
          max={120}
          onSave={(lookSeconds) => save({ lookSeconds })}
        />
        <NumberField
          key={`backSeconds${round.id}`}
          label={m.next_backSeconds()}
          value={round.callBackSeconds}
          min={0}
          max={120}
          onSave={(callBackSeconds) => save({ callBackSeconds })}
        />
        <label className="col-span-2 flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-4 accent-ink"
            checked={auto ?? round.autoCallBack}
            onChange={(event) => {
              setAuto(event.target.checked);
              save({ autoCallBack: event.target.checked })
                .catch(fail)
                .finally(() => setAuto(null));
            }}
          />
          {m.next_autoBack()}
        </label>
        <Prepared key={`prepared${round.id}`} lesson={lesson} />
      </div>
    </details>
  );
}

/** Which grouping the round uses, and the way to its desk. */
function GroupingChoice({ lesson }: { lesson: Lesson }) {
  const { fail } = useMessages();
  const groupings = useQuery(groupingsQuery(lesson.classId)).data;
  const control = useOrder(lesson.id, lesson.order);
  return (
    <span className="mt-1 flex flex-wrap items-center gap-2">
      {groupings !== undefined && groupings.length > 1 && (
        <Choice
          hidden
          label={m.next_grouping()}
          className="w-full min-w-0"
          value={lesson.floor.id}
          options={groupings.map((grouping) => ({ value: grouping.id, label: grouping.name }))}
          onChange={(groupingId) => void control.edit(lesson.round.segmentId, { groupingId }).catch(fail)}
        />
      )}
      <Link to={`/groupings/${lesson.floor.id}`} className="inline-block min-h-6 text-ink underline underline-offset-4">
        {m.next_toDesk()}
      </Link>
    </span>
  );
}

function roomsText(lesson: Lesson): string {
  const state = setUp(lesson);
  if (state.roomsFailed > 0) return m.next_roomsFailed({ n: state.roomsFailed });
  if (lesson.roomSource === 'classroom' && state.roomsMade < state.rooms) return m.next_roomsClassroom();
  if (lesson.roomSource === 'ownLinks' && state.withoutRoom > 0) return m.next_roomsLinks({ n: state.withoutRoom });
  if (state.roomsPlanned === 0) return m.next_roomsNone();
  if (state.roomsWorking) return m.next_roomsMaking({ done: state.roomsMade, all: state.rooms });
  return state.roomsMade < state.rooms
    ? m.next_roomsSome({ done: state.roomsMade, all: state.rooms })
    : m.next_roomsDone({ n: state.rooms });
}

function workText(lesson: Lesson): string {
  const state = setUp(lesson);
  const [first] = lesson.handOut;
  if (first === undefined) return lesson.talkOnly ? m.next_talkOnly() : m.next_workNone();
  if (state.unfinished?.unfinished != null) return state.unfinished.unfinished;
  if (state.copies === 0) return m.next_workOriginal({ titles: listed(lesson.handOut.map((row) => row.title)) });
  if (state.copiesOld > 0) return m.next_workOld({ n: state.copiesOld });
  return state.copiesMissing > 0
    ? m.next_workSome({ done: state.copies, all: state.copies + state.copiesMissing })
    : m.next_workDone({ n: state.copies });
}

/** What is in place for the round, what is not, and the one thing to do next. */
export function PlanPanel({
  lesson,
  control,
  again,
  onOriginal,
  onRooms,
  onMaterials,
  onSegment,
}: {
  lesson: Lesson;
  control: FloorControl;
  again: boolean;
  onOriginal: () => void;
  onRooms: (paste: boolean) => void;
  onMaterials: () => void;
  onSegment: (segment: string) => void;
}) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const { fail, say } = useMessages();
  const give = useCommand(lesson.id);
  const refresh = () => queries.invalidateQueries({ queryKey: ['lesson', lesson.id] });
  const path = { params: { path: { id: lesson.round.id } } };
  const rooms = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/rooms', path)),
    onSettled: refresh,
    onError: fail,
  });
  const copies = useMutation({
    mutationFn: () => take(api.POST('/api/staff/rounds/{id}/copies', path)),
    onSuccess: (made) => {
      say(
        made.kept.length > 0
          ? m.next_copiesKept({ names: listed(made.kept) })
          : m.next_copiesMade({ n: made.made + made.brought }),
      );
      void queries.invalidateQueries({ queryKey: ['copies', lesson.round.id] });
    },
    onSettled: refresh,
    onError: fail,
  });
  const setTalkOnly = useMutation({
    mutationFn: (talkOnly: boolean) =>
      take(api.PATCH('/api/staff/lessons/{id}', { params: { path: { id: lesson.id } }, body: { talkOnly } })),
    onSettled: refresh,
    onError: fail,
  });
  const { carryOut } = useSetUp(lesson);
  useLooking(lesson, !lesson.template && !again);
  const [sheet, setSheet] = useState<'list' | 'sending' | null>(null);
  const sending = useSendingLine(lesson);
  const list = lesson.setUpList;
  const repair = useRepair(lesson.floor.id, (round) => control.take('repair', [round]));
  const state = setUp(lesson);
  const { order } = lesson;
  const comes = order.segments.find((segment) => segment.id === order.next);
  // Between rounds the round that comes next is set up; where something else comes first, that is the next thing to do.
  const isNow = lesson.round.id === lesson.roundNow.id;
  const goesOn = again || (isNow && order.now !== null && comes?.id !== lesson.round.segmentId);
  const next: NextStep =
    goesOn && comes !== undefined
      ? {
          kind: comes.round === null ? 'begin' : 'nextRound',
          label: m.order_next({ name: nameOf(comes), n: comes.minutes }),
          subject: null,
        }
      : goesOn
        ? { kind: 'end', label: m.next_end(), subject: null }
        : nextStep(lesson);
  const send = () => give.mutate(command('sendOut', { segment: lesson.round.segmentId }));
  const goOn = () => {
    if (comes === undefined) return;
    give.mutate(command(comes.round === null ? 'begin' : 'sendOut', { segment: comes.id }));
  };
  const nothing = () => undefined;
  const run: Record<NextKind, (subject: string | null) => void> = {
    roster: () => void navigate(`/classes/${lesson.classId}`),
    deal: () => control.deal({ groups: Math.max(1, Math.round(state.present / 4)), mix: lesson.mixBy }),
    dealAtRandom: () => control.deal({ groups: Math.max(1, Math.round(state.present / 4)) }),
    repair: () => repair.ask(),
    desk: () => void navigate(`/groupings/${lesson.floor.id}`),
    // What only asks, and does nothing by itself, is looked at.
    setUp: () => (list?.press == null ? setSheet('list') : carryOut.mutate({ digest: list.digest })),
    sending: () => setSheet('sending'),
    makeRooms: () => rooms.mutate(),
    sayWhere: () => onRooms(true),
    wait: nothing,
    rooms: () => onRooms(false),
    writeOriginal: onOriginal,
    makeCopies: () => copies.mutate(),
    bringChanges: () => copies.mutate(),
    materials: onMaterials,
    talkOnly: () => setTalkOnly.mutate(true),
    order: () => document.querySelector<HTMLElement>(`[aria-label="${m.ribbon_label()}"] button`)?.focus(),
    slips: () => void navigate(`/rounds/${lesson.round.id}/slips`),
    send,
    begin: goOn,
    nextRound: goOn,
    end: () => give.mutate(command('end')),
  };
  const busy =
    repair.busy ||
    carryOut.isPending ||
    rooms.isPending ||
    copies.isPending ||
    give.isPending ||
    control.busy ||
    next.kind === 'wait';
  // Sending out never stands where something was made a moment ago.
  const moves = next.kind === 'send';
  const settled = useSettled(`${next.kind}${lesson.round.id}`);
  const main = (
    <Button
      look="main"
      className="w-full text-lg"
      busy={busy}
      aria-disabled={!settled || busy}
      onClick={() => {
        if (!settled) return;
        if (next.segment == null) run[next.kind](next.subject);
        else onSegment(next.segment);
      }}
    >
      {next.label}
    </Button>
  );
  return (
    <div className="flex flex-col gap-4">
      {!lesson.template && !goesOn && <ReadyNow stops={stops(lesson)} />}
      {!lesson.template && !moves && main}
      <SetUpProgress lesson={lesson} />
      {!lesson.template && !goesOn && list !== null && list.steps > 0 && lesson.setUp?.running !== true && (
        <p className="text-sm text-soft">
          {list.press === null
            ? m.setUp_asks({ n: list.asks })
            : stops(lesson).length === 0
              ? m.setUp_optional({ n: list.steps })
              : m.setUp_steps({ n: list.steps })}
          <Button look="quiet" className="ms-1 text-sm" onClick={() => setSheet('list')}>
            {m.setUp_see()}
          </Button>
        </p>
      )}
      {!goesOn && stops(lesson)[0]?.other != null && (
        <Button
          look="quiet"
          className="self-start text-sm"
          onClick={() => {
            const other = stops(lesson)[0]?.other;
            if (other != null) run[other](null);
          }}
        >
          {stops(lesson)[0]?.otherPress}
        </Button>
      )}
      {next.kind !== 'send' && state.seated > 0 && !lesson.template && (
        <Button look="quiet" className="self-start text-sm" onClick={send} busy={give.isPending}>
          {goesOn ? m.next_sendAgain() : m.next_sendNow()}
        </Button>
      )}
      <div className="border-y-2 border-ink">
        <ul>
          <Line done={state.groups > 0 && state.onShelf === 0} title={m.next_groups()}>
            {state.groups === 0
              ? m.next_groupsNone()
              : state.onShelf > 0
                ? m.next_groupsShelf({ n: state.onShelf })
                : m.next_groupsDone({ n: state.seated, g: state.groups })}
            {lesson.partners !== null && <span className="mt-1 block">{lesson.partners}</span>}
            <GroupingChoice lesson={lesson} />
          </Line>
          <Line
            done={state.rooms > 0 && (state.withoutRoom === 0 || lesson.roomSource === 'classroom')}
            title={m.next_rooms()}
          >
            {roomsText(lesson)}
            {state.roomsWorking && (
              <progress
                className="mt-1 block w-full accent-ink"
                max={state.rooms}
                value={state.roomsMade}
                aria-label={m.next_rooms()}
              />
            )}
            <Button look="quiet" className="ms-1 text-sm" onClick={() => onRooms(false)}>
              {m.next_toRooms()}
            </Button>
          </Line>
          <Line
            done={
              lesson.talkOnly && lesson.handOut.length === 0 ? undefined : state.copies > 0 && state.copiesMissing === 0
            }
            title={m.next_work()}
          >
            {workText(lesson)}
            {lesson.talkOnly && lesson.handOut.length === 0 && (
              <Button look="quiet" className="ms-1 text-sm" onClick={() => setTalkOnly.mutate(false)}>
                {m.next_useWorksheet()}
              </Button>
            )}
            {state.copiesOld > 0 && <BringChanges lesson={lesson} />}
            {state.copiesWritten > 0 && lesson.setUp?.running !== true && (
              <span className="mt-1 block">
                {m.next_goOnLead()}
                <Button look="quiet" className="block" busy={copies.isPending} onClick={() => copies.mutate()}>
                  {m.next_makeEmpty()}
                </Button>
              </span>
            )}
          </Line>
          {!lesson.template && (
            <Line done={sending.isPlanned ? sending.done : undefined} title={m.setUp_sending_title()}>
              {sending.text}
              <Button look="quiet" className="ms-1 text-sm" onClick={() => setSheet('sending')}>
                {m.setUp_sending_choose()}
              </Button>
            </Line>
          )}
        </ul>
        {!lesson.template && moves && <div className="my-3">{main}</div>}
        <RoundFields lesson={lesson} />
      </div>
      {!lesson.template && !goesOn && (
        <WorthALook
          main={stops(lesson)[0]}
          findings={lesson.findings.filter((one) => one.weight === 'look' || one.check !== stops(lesson)[0]?.check)}
          onMend={(finding) =>
            finding.segment === null || finding.mend === 'setUp'
              ? run[finding.mend](finding.subject)
              : onSegment(finding.segment)
          }
          onOther={(finding) => finding.other !== null && run[finding.other](finding.subject)}
        />
      )}
      <Suspense fallback={null}>
        {sheet === 'list' && <SetUpSheet lesson={lesson} open onClose={() => setSheet(null)} />}
        {sheet === 'sending' && <SendingSheet lesson={lesson} open onClose={() => setSheet(null)} />}
      </Suspense>
      <RepairSheet repair={repair} nameOf={(id) => lesson.students.find((one) => one.id === id)?.name ?? ''} />
    </div>
  );
}
