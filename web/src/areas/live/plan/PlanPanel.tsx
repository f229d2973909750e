// What is in place for a round, what is not, and the one thing to do next.
import { Suspense } from 'react';
import { Button } from '../../../ui/Button';
import { part } from '../../../ui/later/lazily';
import { useSettled } from '../../../ui/useSettled';
import * as m from '#messages';
import { RepairSheet } from '../../grouping/Repair';
import { ReadyNow, WorthALook } from '../../ready/ReadyNow';
import { useLooking } from '../../ready/useSetUp';
import type { LessonDesk } from '../page/useLessonDesk';
import { stops } from './nextStep';
import { PlanLines } from './PlanLines';
import { RoundFields } from './RoundFields';
import { usePlanActions, type PlanActions } from './usePlanActions';

const SendingSheet = part(
  () => import('../../ready/SendingSheet'),
  (file) => file.SendingSheet,
);
const SetUpProgress = part(
  () => import('../../ready/SetUpProgress'),
  (file) => file.SetUpProgress,
);
const SetUpSheet = part(
  () => import('../../ready/SetUpSheet'),
  (file) => file.SetUpSheet,
);

interface Part {
  desk: LessonDesk;
  actions: PlanActions;
}

/** The one thing to do next. Sending out never stands where something was made a moment ago. */
function NextPress({
  desk,
  actions: { next, run, busy },
  settled,
  look = 'main',
}: Part & { settled: boolean; look?: 'main' | 'plain' }) {
  return (
    <Button
      look={look}
      className={look === 'main' ? 'w-full text-lg' : 'w-full'}
      busy={busy}
      aria-disabled={!settled || busy}
      onClick={() => {
        if (!settled) return;
        if (next.segment == null) run[next.kind](next.subject);
        else desk.showSegment(next.segment);
      }}
    >
      {next.label}
    </Button>
  );
}

/** How many steps the set-up list has, and the way to it. */
function SetUpLine({ desk: { lesson }, actions }: Part) {
  const list = lesson.setUpList;
  if (lesson.template || actions.goesOn || list === null || list.steps === 0 || lesson.setUp?.running === true)
    return null;
  return (
    <p className="text-sm text-soft">
      {list.press === null
        ? m.setUp_asks({ n: list.asks })
        : stops(lesson).length === 0
          ? m.setUp_optional({ n: list.steps })
          : m.setUp_steps({ n: list.steps })}
      <Button look="quiet" className="ms-1 text-sm" onClick={() => actions.setSheet('list')}>
        {m.setUp_see()}
      </Button>
    </p>
  );
}

/** What can be done instead of the next thing. */
function OtherPresses({ desk, actions: { goesOn, next, run, send, state } }: Part) {
  const { lesson } = desk;
  const [stop] = stops(lesson);
  const other = goesOn ? undefined : stop?.other;
  return (
    <>
      {other != null && (
        <Button look="quiet" className="self-start text-sm" onClick={() => run[other](null)}>
          {stop?.otherPress}
        </Button>
      )}
      {next.kind !== 'send' && state.seated > 0 && !lesson.template && (
        <Button look="quiet" className="self-start text-sm" onClick={send} busy={desk.busy}>
          {goesOn ? m.next_sendAgain() : m.next_sendNow()}
        </Button>
      )}
    </>
  );
}

function Findings({ desk, actions: { run } }: Part) {
  const { lesson } = desk;
  const [stop] = stops(lesson);
  return (
    <WorthALook
      main={stop}
      findings={lesson.findings.filter((one) => one.weight === 'look' || one.check !== stop?.check)}
      onMend={(finding) =>
        finding.segment === null || finding.mend === 'setUp'
          ? run[finding.mend](finding.subject)
          : desk.showSegment(finding.segment)
      }
      onOther={(finding) => finding.other !== null && run[finding.other](finding.subject)}
    />
  );
}

/** How the lesson goes on, where something else is the one thing to do next. */
export function GoOnPress({ desk }: { desk: LessonDesk }) {
  const actions = usePlanActions(desk, true);
  const settled = useSettled(`${actions.next.kind}${desk.lesson.round.id}`);
  return <NextPress desk={desk} actions={actions} settled={settled} look="plain" />;
}

/** @param props.again everybody is back from the round that is shown */
export function PlanPanel({ desk, again }: { desk: LessonDesk; again: boolean }) {
  const { lesson } = desk;
  const actions = usePlanActions(desk, again);
  useLooking(lesson, !lesson.template && !again);
  const { sheet, setSheet, goesOn } = actions;
  const moves = actions.next.kind === 'send';
  const settled = useSettled(`${actions.next.kind}${lesson.round.id}`);
  const press = <NextPress desk={desk} actions={actions} settled={settled} />;
  return (
    <div className="flex flex-col gap-4">
      {!lesson.template && !goesOn && <ReadyNow stops={stops(lesson)} />}
      {!lesson.template && !moves && press}
      <SetUpProgress lesson={lesson} />
      <SetUpLine desk={desk} actions={actions} />
      <OtherPresses desk={desk} actions={actions} />
      <div className="border-y-2 border-ink">
        <PlanLines desk={desk} actions={actions} />
        {!lesson.template && moves && <div className="my-3">{press}</div>}
        <RoundFields lesson={lesson} />
      </div>
      {!lesson.template && !goesOn && <Findings desk={desk} actions={actions} />}
      <Suspense fallback={null}>
        {sheet === 'list' && <SetUpSheet lesson={lesson} open onClose={() => setSheet(null)} />}
        {sheet === 'sending' && <SendingSheet lesson={lesson} open onClose={() => setSheet(null)} />}
      </Suspense>
      <RepairSheet repair={actions.repair} nameOf={(id) => lesson.students.find((one) => one.id === id)?.name ?? ''} />
    </div>
  );
}
