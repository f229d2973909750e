// The set-up list: what is going to be done before a lesson.
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/slips/Sheet';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { useSetUp } from './useSetUp';

type Step = Schema['ListedStep'];
type Lesson = Schema['LessonView'];

/** Steps under the group they are about, in the order of the floor; what is about the class comes first. */
function byGroup(steps: Step[], lesson: Lesson) {
  const rounds = [...new Set(steps.map((step) => step.round))].filter((round) => round !== null);
  if (rounds.length > 0)
    return rounds.flatMap((round) =>
      ofRound(
        steps.filter((step) => step.round === round),
        round,
      ),
    );
  const groups = lesson.floor.groups;
  const known = new Set(groups.map((group) => group.id));
  return [
    { key: 'class', group: null, name: m.setUp_ofClass(), steps: steps.filter((step) => step.groupId === null) },
    ...groups.map((group) => ({
      key: group.id,
      group,
      name: group.name,
      steps: steps.filter((step) => step.groupId === group.id),
    })),
    {
      key: 'gone',
      group: null,
      name: m.setUp_gone(),
      steps: steps.filter((step) => step.groupId !== null && !known.has(step.groupId)),
    },
  ].filter((part) => part.steps.length > 0);
}

/** The same where several rounds are set up: their groups have names of their own. */
function ofRound(steps: Step[], round: number) {
  const names = [...new Set(steps.map((step) => step.group))];
  return names.map((name) => ({
    key: `${round}|${name}`,
    group: null,
    name: `${m.setUp_round({ n: round })} · ${name ?? m.setUp_ofClass()}`,
    steps: steps.filter((step) => step.group === name),
  }));
}

type List = Schema['SetUpListView'];

/** The press that does it all, and what it does of what was asked about. */
function DoAll({ list, ticked, busy, onDo }: { list: List; ticked: Step[]; busy: boolean; onDo: () => void }) {
  return (
    <div className="mt-4 flex flex-wrap items-center gap-3">
      <Button look="main" disabled={list.press === null && ticked.length === 0} busy={busy} onClick={onDo}>
        {list.press ?? m.setUp_doAll()}
      </Button>
      {ticked.length > 0 && <span>{m.setUp_doTicked({ n: ticked.length })}</span>}
      <span className="min-w-0 flex-1 text-sm text-soft">{m.setUp_left()}</span>
    </div>
  );
}

/** Steps that lose nothing. */
function Steps({ part }: { part: ReturnType<typeof byGroup>[number] }) {
  return (
    <section aria-label={part.name} className="border-b border-line py-2 last:border-0">
      <h3 className="flex items-center gap-2 font-semibold">
        {part.group !== null && <Sign mark={part.group.mark} size={16} />}
        {part.name}
      </h3>
      <ul>
        {part.steps.map((step) => (
          <li key={step.key} className="flex flex-wrap items-baseline gap-x-3 py-0.5">
            <span className="wrap-anywhere">{step.says}</span>
            <span className="text-sm text-soft">{step.because}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Steps that would lose something: each is done only if it is ticked. */
function AskedSteps({ steps, sure, onSure }: { steps: Step[]; sure: string[]; onSure: (sure: string[]) => void }) {
  return (
    <section aria-label={m.setUp_ask()} className="border-s-8 border-lost py-2 ps-3">
      <h3 className="font-semibold">{m.setUp_ask()}</h3>
      <ul>
        {steps.map((step) => (
          <li key={step.key} className="py-1">
            <label className="flex items-baseline gap-2">
              <input
                type="checkbox"
                className="size-4 shrink-0 translate-y-0.5 accent-ink"
                checked={sure.includes(step.key)}
                onChange={(event) =>
                  onSure(event.target.checked ? [...sure, step.key] : sure.filter((one) => one !== step.key))
                }
              />
              <span className="wrap-anywhere">
                {step.says} <span className="text-sm text-soft">{step.because}</span>
                <span className="block text-sm font-semibold">{step.loses}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Everything that is going to be done, before any of it is; what would lose something is asked about. */
export function SetUpSheet({ lesson, open, onClose }: { lesson: Lesson; open: boolean; onClose: () => void }) {
  const list = useQuery({
    queryKey: ['setUpList', lesson.round.id, lesson.setUpList?.digest],
    queryFn: () => take(api.GET('/api/staff/rounds/{id}/set-up', { params: { path: { id: lesson.round.id } } })),
    enabled: open,
    staleTime: 0,
  });
  return (
    <Sheet open={open} onClose={onClose} title={m.setUp_title()} wide>
      {list.isError && <p role="alert">{problemText(list.error)}</p>}
      {list.isPending && <p className="py-4 text-soft">{m.common_loading()}</p>}
      {list.data !== undefined && <SetUpList lesson={lesson} list={list.data} onDone={onClose} />}
    </Sheet>
  );
}

function SetUpList({ lesson, list, onDone }: { lesson: Lesson; list: List; onDone: () => void }) {
  const [sure, setSure] = useState<string[]>([]);
  const { carryOut } = useSetUp(lesson);
  const { steps } = list;
  const asked = steps.filter((step) => step.loses !== null);
  const ticked = asked.filter((step) => sure.includes(step.key));
  const parts = byGroup(
    steps.filter((step) => step.loses === null),
    lesson,
  );
  const done = () => {
    setSure([]);
    onDone();
  };
  return (
    <>
      <p className="text-soft">{steps.length === 0 ? m.setUp_nothing() : m.setUp_lead()}</p>
      {steps.length > 0 && (
        <DoAll
          list={list}
          ticked={ticked}
          busy={carryOut.isPending || (lesson.setUp?.running ?? false)}
          onDo={() =>
            carryOut.mutate({ digest: list.digest, sure: ticked.map((step) => step.key) }, { onSuccess: done })
          }
        />
      )}
      <div className="mt-4 border-y border-line">
        {parts.map((part) => (
          <Steps key={part.key} part={part} />
        ))}
        {asked.length > 0 && <AskedSteps steps={asked} sure={sure} onSure={setSure} />}
      </div>
    </>
  );
}
