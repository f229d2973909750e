import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { useServerNow } from '../../api/clock';
import { api, take, type Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { markOf } from '../../ui/marks';
import { Sheet } from '../../ui/Sheet';
import { Sign } from '../../ui/Sign';
import { list, words } from '../../words';
import { timeText } from '../lesson/when';
import { asked } from './answers';
import { isFresh, loadSeen, newestAt, storeSeen, type Seen } from './fresh';

type Copy = Schema['CopyView'];
type Lesson = Schema['LessonView'];
type Group = Schema['GroupView'];

const writingFor = 4_000;

/** Who is in a group's column of answers: its members, and whoever wrote there before. */
function columns(copy: Copy, slot: string, group: Group): string[] {
  const former = copy.answers
    .filter((answer) => answer.slot === slot && answer.text !== '')
    .map((answer) => answer.owner);
  return [...new Set([...group.students, ...former])];
}

function EachAnswer({
  owners,
  textOf,
  nameOf,
  full,
}: {
  owners: string[];
  textOf: (owner: string) => string;
  nameOf: (id: string) => string;
  full: boolean;
}) {
  const silent = owners.filter((owner) => textOf(owner).trim() === '');
  return (
    <>
      <ul className="mt-0.5 space-y-1">
        {owners
          .filter((owner) => !silent.includes(owner))
          .map((owner) => (
            <li key={owner} className={clsx(!full && 'line-clamp-2')}>
              <span className="font-semibold">{nameOf(owner)}</span>{' '}
              <span className="whitespace-pre-wrap wrap-anywhere">{textOf(owner)}</span>
            </li>
          ))}
      </ul>
      {silent.length > 0 && <p className="text-soft">{words.work.emptyOf(list(silent.map(nameOf)))}</p>}
    </>
  );
}

function Answers({ copy, group, lesson, full }: { copy: Copy; group: Group; lesson: Lesson; full: boolean }) {
  const nameOf = (id: string) => lesson.students.find((student) => student.id === id)?.name ?? words.work.formerMember;
  const textOf = (slot: string, owner: string) =>
    copy.answers.find((answer) => answer.slot === slot && answer.owner === owner)?.text ?? '';
  const shown = (text: string) =>
    text.trim() === '' ? (
      <span className="text-soft">{words.work.empty}</span>
    ) : (
      <span className={clsx('whitespace-pre-wrap wrap-anywhere', !full && 'line-clamp-3')}>{text}</span>
    );
  return (
    <div className="space-y-3 text-sm">
      {copy.blocks.map((block) => {
        if (block.kind === 'text')
          return full ? (
            <p key={block.id} className="whitespace-pre-wrap text-soft">
              {block.text}
            </p>
          ) : null;
        return (
          <div key={block.id}>
            <p className={clsx('font-semibold', !full && 'line-clamp-1')}>{block.text}</p>
            {block.kind === 'together' ? (
              <p className="mt-0.5">{shown(textOf(block.id, copy.id))}</p>
            ) : (
              <EachAnswer
                owners={columns(copy, block.id, group)}
                textOf={(owner) => textOf(block.id, owner)}
                nameOf={nameOf}
                full={full}
              />
            )}
          </div>
        );
      })}
    </div>
  );
}

function filled(copy: Copy, group: Group): [number, number] {
  const owners = copy.blocks.flatMap((block) =>
    block.kind === 'each'
      ? group.students.map((id) => [block.id, id] as const)
      : block.kind === 'together'
        ? [[block.id, copy.id] as const]
        : [],
  );
  const done = owners.filter(([slot, owner]) =>
    copy.answers.some((answer) => answer.slot === slot && answer.owner === owner && answer.text.trim() !== ''),
  );
  return [done.length, owners.length];
}

function CopyCell({
  copy,
  group,
  lesson,
  fresh,
  now,
  onOpen,
}: {
  copy: Copy;
  group: Group;
  lesson: Lesson;
  fresh: boolean;
  now: number;
  onOpen: () => void;
}) {
  const { colour } = markOf(group.mark);
  const [done, all] = filled(copy, group);
  const writing = copy.answers
    .filter((answer) => now - answer.at < writingFor)
    .map((answer) => lesson.students.find((student) => student.id === answer.author)?.name);
  const last = newestAt(copy);
  return (
    <li
      className={clsx('flex flex-col border-2 bg-sheet', fresh && 'ring-4 ring-accent')}
      style={{ borderColor: colour }}
    >
      <button
        type="button"
        aria-label={words.work.open(group.name)}
        onClick={onOpen}
        className="flex items-center gap-2 border-b-2 px-3 py-2 text-left"
        style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 16%, var(--sheet))` }}
      >
        <Sign mark={group.mark} size={20} />
        <span className="min-w-0 font-head font-semibold wrap-anywhere">{group.name}</span>
        {fresh && <span className="bg-accent px-1.5 text-xs font-semibold text-on-accent">{words.work.fresh}</span>}
        <span className="ml-auto shrink-0 text-xs text-soft">{words.work.slots(done, all)}</span>
      </button>
      <div className="max-h-96 flex-1 overflow-hidden p-3">
        <Answers copy={copy} group={group} lesson={lesson} full={false} />
      </div>
      <p className="min-h-6 px-3 pb-2 text-xs text-soft" aria-live="off">
        {writing[0] !== undefined ? words.work.writing(writing[0]) : last > 0 ? words.work.lastAt(timeText(last)) : ''}
      </p>
    </li>
  );
}

/** Every group's copy, live, side by side; what is new since it was last looked at glows. */
export function WorkView({ lesson }: { lesson: Lesson }) {
  const roundId = lesson.round.id;
  const copies = useQuery({
    queryKey: ['copies', roundId],
    queryFn: () => asked(() => take(api.GET('/api/staff/rounds/{id}/copies', { params: { path: { id: roundId } } }))),
  });
  const [seen, setSeen] = useState<Seen>(() => loadSeen(roundId));
  const [opened, setOpened] = useState<string | null>(null);
  const now = useServerNow(1_000);
  const rows = lesson.floor.groups.flatMap((group) => {
    const copy = copies.data?.find((one) => one.groupId === group.id);
    return copy === undefined ? [] : [{ group, copy }];
  });
  const look = (looked: Copy[]) => {
    const next = { ...seen, ...Object.fromEntries(looked.map((copy) => [copy.id, newestAt(copy)])) };
    setSeen(next);
    storeSeen(roundId, next);
  };
  const fresh = rows.filter(({ copy }) => isFresh(copy, seen) && copy.id !== opened);
  const open = rows.find(({ copy }) => copy.id === opened);
  return (
    <div className="floor-paper flex-1 overflow-y-auto p-5">
      {copies.isSuccess && rows.length === 0 && (
        <p className="mx-auto max-w-md py-16 text-center text-soft">{words.work.none}</p>
      )}
      {rows.length > 0 && (
        <p className="mb-4 flex items-center gap-4 text-sm">
          {words.work.freshCount(fresh.length)}
          <Button look="quiet" disabled={fresh.length === 0} onClick={() => look(rows.map(({ copy }) => copy))}>
            {words.work.lookedAtAll}
          </Button>
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-4">
        {rows.map(({ group, copy }) => (
          <CopyCell
            key={copy.id}
            copy={copy}
            group={group}
            lesson={lesson}
            fresh={isFresh(copy, seen) && copy.id !== opened}
            now={now}
            onOpen={() => {
              setOpened(copy.id);
              look([copy]);
            }}
          />
        ))}
      </ul>
      <Sheet
        open={open !== undefined}
        onClose={() => {
          if (open !== undefined) look([open.copy]);
          setOpened(null);
        }}
        title={open?.copy.name ?? ''}
        wide
      >
        {open !== undefined && <Answers copy={open.copy} group={open.group} lesson={lesson} full />}
      </Sheet>
    </div>
  );
}
