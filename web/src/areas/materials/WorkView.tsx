import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { useServerNow } from '../../api/clock';
import { api, take, whole, type Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { markOf } from '../../ui/marks';
import { Sheet } from '../../ui/Sheet';
import { Sign } from '../../ui/Sign';
import { Tabs } from '../../ui/Tabs';
import { list, words } from '../../words';
import { timeText } from '../lesson/when';
import { asked } from './answers';
import { blocksOf, isAlone, isSlot, type Block, type Copy } from './blocks';
import { Fill } from './fill/Fill';
import History from './fill/History';
import { ReadingBlock } from './fill/ReadingBlock';
import { isFresh, loadSeen, newestAt, storeSeen, type Seen } from './fresh';
import { things } from './things';

type Lesson = Schema['LessonView'];
type Group = Schema['GroupView'];

const writingFor = 4_000;
const historyOf = '/api/staff/copies/{id}/slots/{slot}/history/{owner}';

/** Whose answers stand in a slot where everybody has their own: members', and whoever wrote there before. */
function columns(copy: Copy, slot: string, members: string[]): string[] {
  const former = copy.answers
    .filter((answer) => answer.slot === slot && answer.text !== '')
    .map((answer) => answer.owner);
  return [...new Set([...members, ...former])];
}

function EachAnswer({
  owners,
  textOf,
  nameOf,
  full,
  block,
}: {
  owners: string[];
  textOf: (owner: string) => string;
  nameOf: (id: string) => string;
  full: boolean;
  block: Block;
}) {
  const silent = owners.filter((owner) => textOf(owner).trim() === '');
  const spoken = owners.filter((owner) => !silent.includes(owner));
  return (
    <>
      {block.kind === 'each' ? (
        <ul className="mt-0.5 space-y-1">
          {spoken.map((owner) => (
            <li key={owner} className={clsx(!full && 'line-clamp-2')}>
              <span className="font-semibold">{nameOf(owner)}</span>{' '}
              <span className="whitespace-pre-wrap wrap-anywhere">{textOf(owner)}</span>
            </li>
          ))}
        </ul>
      ) : (
        spoken.length > 0 && (
          <Fill
            block={block}
            value=""
            onChange={null}
            others={spoken.map((owner) => ({ name: nameOf(owner), value: textOf(owner) }))}
          />
        )
      )}
      {silent.length > 0 && <p className="text-soft">{words.work.emptyOf(list(silent.map(nameOf)))}</p>}
    </>
  );
}

function Answers({ copy, members, lesson, full }: { copy: Copy; members: string[]; lesson: Lesson; full: boolean }) {
  const nameOf = (id: string) => lesson.students.find((student) => student.id === id)?.name ?? words.work.formerMember;
  const textOf = (slot: string, owner: string) =>
    copy.answers.find((answer) => answer.slot === slot && answer.owner === owner)?.text ?? '';
  const shareOf = (slot: string) =>
    copy.answers.find((answer) => answer.slot === slot && answer.owner === copy.id)?.share ?? 0;
  const shown = (block: Block, text: string) =>
    text.trim() === '' ? (
      <span className="text-soft">{words.work.empty}</span>
    ) : block.kind === 'together' ? (
      <span className={clsx('whitespace-pre-wrap wrap-anywhere', !full && 'line-clamp-3')}>{text}</span>
    ) : full ? (
      <Fill block={block} value={text} onChange={null} />
    ) : block.kind === 'ownPictures' ? (
      words.work.pictures(Object.keys(things(text)).length)
    ) : (
      words.work.done(
        block.kind === 'markUp' ? null : Math.round(100 * shareOf(block.id)),
        Object.keys(things(text)).length,
      )
    );
  return (
    <div className="space-y-3 text-sm">
      {blocksOf(copy.pages).map((block) => {
        if (!isSlot(block))
          return full ? (
            <ReadingBlock
              key={block.id}
              block={block}
              html={copy.html.find((one) => one.block === block.id)?.html ?? ''}
            />
          ) : null;
        return (
          <div key={block.id}>
            <p className={clsx('font-semibold', !full && 'line-clamp-1')}>{block.text}</p>
            {isAlone(block) ? (
              <EachAnswer
                block={block}
                owners={columns(copy, block.id, members)}
                textOf={(owner) => textOf(block.id, owner)}
                nameOf={nameOf}
                full={full}
              />
            ) : (
              <div className="mt-0.5">{shown(block, textOf(block.id, copy.id))}</div>
            )}
            {full && !isAlone(block) && (
              <History
                block={block}
                nameOf={(id) => lesson.students.find((student) => student.id === id)?.name ?? words.work.oneOfStaff}
                load={() =>
                  take(api.GET(historyOf, { params: { path: { id: copy.id, slot: block.id, owner: copy.id } } }))
                }
                bringBack={(revision) =>
                  take(
                    api.POST(historyOf, {
                      params: { path: { id: copy.id, slot: block.id, owner: copy.id } },
                      body: { revision },
                    }),
                  )
                }
              />
            )}
          </div>
        );
      })}
    </div>
  );
}

/** How many of the places to fill are filled, and how many there are. */
function filled(copy: Copy, members: string[]): [number, number] {
  const places = blocksOf(copy.pages)
    .filter(isSlot)
    .flatMap((block) => (isAlone(block) ? members.map((id) => [block, id] as const) : [[block, copy.id] as const]));
  const done = places.filter(([block, owner]) => {
    const answer = copy.answers.find((one) => one.slot === block.id && one.owner === owner);
    return (answer?.share ?? 0) >= 1;
  });
  return [done.length, places.length];
}

function CopyCell({
  copy,
  group,
  members,
  title,
  lesson,
  fresh,
  now,
  onOpen,
}: {
  copy: Copy;
  /** Whose colour and sign it has; null: the class's. */
  group: Group | null;
  members: string[];
  title: string;
  lesson: Lesson;
  fresh: boolean;
  now: number;
  onOpen: () => void;
}) {
  const colour = group === null ? 'var(--ink)' : markOf(group.mark).colour;
  const [done, all] = filled(copy, members);
  const writing = copy.answers
    .filter((answer) => now - answer.at < writingFor)
    .map((answer) => lesson.students.find((student) => student.id === answer.author)?.name);
  const last = newestAt(copy);
  const backAt = lesson.round.moments.backAt;
  return (
    <li
      className={clsx('flex flex-col border-2 bg-sheet', fresh && 'ring-4 ring-accent')}
      style={{ borderColor: colour }}
    >
      <button
        type="button"
        aria-label={words.work.open(title)}
        onClick={onOpen}
        className="flex items-center gap-2 border-b-2 px-3 py-2 text-left"
        style={{ borderColor: colour, backgroundColor: `color-mix(in oklab, ${colour} 16%, var(--sheet))` }}
      >
        {group !== null && <Sign mark={group.mark} size={20} />}
        <span className="min-w-0 font-head font-semibold wrap-anywhere">{title}</span>
        {fresh && <span className="bg-accent px-1.5 text-xs font-semibold text-on-accent">{words.work.fresh}</span>}
        <span className="ml-auto shrink-0 text-xs text-soft">{words.work.slots(done, all)}</span>
      </button>
      <div className="max-h-96 flex-1 overflow-hidden p-3">
        <Answers copy={copy} members={members} lesson={lesson} full={false} />
      </div>
      <p className="min-h-6 px-3 pb-2 text-xs text-soft" aria-live="off">
        {writing[0] !== undefined
          ? words.work.writing(writing[0])
          : last > 0
            ? (backAt !== null && last > backAt ? words.work.lateAt : words.work.lastAt)(timeText(last))
            : ''}
      </p>
    </li>
  );
}

/** Every group's copy, live, side by side; what is new since it was last looked at glows. */
export function WorkView({ lesson, visited = null }: { lesson: Lesson; visited?: string | null }) {
  const roundId = lesson.round.id;
  const copies = useQuery({
    queryKey: ['copies', roundId],
    queryFn: () =>
      asked(async () =>
        whole(await take(api.GET('/api/staff/rounds/{id}/copies', { params: { path: { id: roundId } } }))),
      ),
  });
  const [seen, setSeen] = useState<Seen>(() => loadSeen(roundId));
  const [pressed, setOpened] = useState<string | null | undefined>(undefined);
  const now = useServerNow(1_000);
  const originals = lesson.handOut.filter(
    (row) => copies.data?.some((copy) => copy.original === row.original) === true,
  );
  const [asked_, setAsked] = useState<string | null>(null);
  const original = originals.find((row) => row.original === asked_) ?? originals[0];
  const nameOf = (id: string | null) => lesson.students.find((student) => student.id === id)?.name ?? '';
  const rows = (copies.data ?? [])
    .filter((copy) => copy.original === original?.original)
    .flatMap((copy) => {
      const group =
        lesson.floor.groups.find(
          (one) => one.id === copy.groupId || (copy.studentId !== null && one.students.includes(copy.studentId)),
        ) ?? null;
      if (copy.groupId !== null && group === null) return []; // its table has been taken away
      const members =
        copy.studentId !== null
          ? [copy.studentId]
          : (group?.students ?? lesson.floor.groups.flatMap((one) => one.students));
      const title = copy.studentId !== null ? nameOf(copy.studentId) : (group?.name ?? words.work.classCopy);
      return [{ copy, group, members, title }];
    })
    .sort((a, b) => (a.group?.number ?? 0) - (b.group?.number ?? 0));
  // Whoever comes to a group sees its copy, until they put it away.
  const opened = pressed === undefined ? (rows.find(({ group }) => group?.id === visited)?.copy.id ?? null) : pressed;
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
      {originals.length > 1 && original !== undefined && (
        <Tabs
          label={words.work.which}
          tabs={originals.map((row) => ({ value: row.original, label: row.title }))}
          shown={original.original}
          onShow={setAsked}
        />
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
        {rows.map(({ group, copy, members, title }) => (
          <CopyCell
            key={copy.id}
            copy={copy}
            group={group}
            members={members}
            title={title}
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
        {open !== undefined && <Answers copy={open.copy} members={open.members} lesson={lesson} full />}
      </Sheet>
    </div>
  );
}
