// What the teacher tells the class while groups are at work, and who has seen it.
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, take, type Schema } from '../../../api/client';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { useMessages } from '../../../ui/page/messages';
import { useKept } from '../../../ui/useKept';
import * as m from '#messages';
import { list } from '../../../words/list';
import { timeText } from '../../../words/when';
import { command, useCommand } from '../useCommand';

type Lesson = Schema['LessonView'];
type Notice = Schema['SaidNotice'];

/** Who has not seen a notice yet, asked for when it is opened. */
function NotSeen({ lesson, notice, to }: { lesson: Lesson; notice: Notice; to: string[] }) {
  const saw = useQuery({
    queryKey: ['notice', lesson.id, notice.seq, notice.seen],
    queryFn: () =>
      take(
        api.GET('/api/staff/lessons/{id}/notices/{seq}', { params: { path: { id: lesson.id, seq: `${notice.seq}` } } }),
      ),
  });
  if (saw.data === undefined) return <p className="text-soft">{m.common_loading()}</p>;
  const not = lesson.students.filter((one) => to.includes(one.id) && !saw.data.includes(one.id));
  return (
    <p className="text-soft">
      {not.length === 0 ? m.round_allSaw() : m.round_notSeen({ names: list(not.map((one) => one.name)) })}
    </p>
  );
}

function Said({ lesson, notice }: { lesson: Lesson; notice: Notice }) {
  const [open, setOpen] = useState(false);
  const groupOf = (id: string) => lesson.floor.groups.find((group) => group.id === id)?.name;
  const single = lesson.students.filter(
    (one) =>
      notice.students.includes(one.id) &&
      !lesson.floor.groups.some((group) => notice.groups.includes(group.id) && group.students.includes(one.id)),
  );
  const names = [...notice.groups.map(groupOf), ...single.map((one) => one.name)].filter((one) => one !== undefined);
  const to =
    notice.students.length > 0
      ? notice.students
      : lesson.students.filter((one) => one.claimed && !one.absent).map((one) => one.id);
  return (
    <li className="wrap-anywhere">
      <span className="text-soft tabular-nums">{m.live_saidAt({ time: timeText(notice.at) })}</span>{' '}
      {names.length > 0 && <span className="text-soft">{m.round_saidTo({ names: list(names) })} </span>}
      {notice.text}{' '}
      <Button look="quiet" className="text-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
        {notice.students.length > 0
          ? m.round_seenByOf({ n: notice.seen, all: notice.students.length })
          : m.round_seenBy({ n: notice.seen })}
      </Button>
      {open && <NotSeen lesson={lesson} notice={notice} to={to} />}
    </li>
  );
}

/** To whom a notice goes: some groups and students; nobody chosen: all. */
function useAudience(lesson: Lesson) {
  const [chosen, setChosen] = useState<string[]>([]);
  const groups = lesson.floor.groups.filter((group) => group.students.length > 0);
  const students = lesson.students.filter((one) => one.claimed && !one.absent);
  const all = [...groups, ...students];
  return {
    chosen: all.filter((one) => chosen.includes(one.id)),
    others: all.filter((one) => !chosen.includes(one.id)),
    groups: groups.filter((one) => chosen.includes(one.id)).map((one) => one.id),
    students: students.filter((one) => chosen.includes(one.id)).map((one) => one.id),
    add: (id: string) => setChosen([...chosen, id]),
    drop: (id: string) => setChosen(chosen.filter((one) => one !== id)),
    clear: () => setChosen([]),
  };
}

type Audience = ReturnType<typeof useAudience>;

function ChosenAudience({ audience }: { audience: Audience }) {
  if (audience.chosen.length === 0) return null;
  return (
    <div className="mb-1 flex flex-wrap gap-1.5">
      {audience.chosen.map((one) => (
        <Button
          key={one.id}
          className="px-2 py-0.5 text-sm wrap-anywhere"
          aria-label={m.round_notTo({ name: one.name })}
          onClick={() => audience.drop(one.id)}
        >
          {one.name} <span aria-hidden="true">×</span>
        </Button>
      ))}
    </div>
  );
}

function ChooseAudience({ audience: { chosen, others, add } }: { audience: Audience }) {
  if (chosen.length + others.length === 0) return null;
  return (
    <Choice
      label={m.round_toWhom()}
      hidden
      className="min-w-0 grow text-sm"
      value=""
      options={[
        { value: '', label: chosen.length === 0 ? m.round_toAll() : m.round_oneMore() },
        ...others.map((one) => ({ value: one.id, label: one.name })),
      ]}
      onChange={(id) => id !== '' && add(id)}
    />
  );
}

/** A notice to all, to some groups, or to single students. What was typed stays until it has been said. */
export function NoticeBox({ lesson }: { lesson: Lesson }) {
  const [text, setText, sent] = useKept(`notice:${lesson.id}`);
  const give = useCommand(lesson.id);
  const { say } = useMessages();
  const audience = useAudience(lesson);
  const { groups, students } = audience;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        give.mutate(command('say', { text, groups, students }), {
          onSuccess: () => {
            sent();
            audience.clear();
            say(m.live_said());
          },
        });
      }}
    >
      <textarea
        rows={1}
        maxLength={280}
        aria-label={m.live_notice()}
        value={text}
        placeholder={m.live_noticeHint()}
        onChange={(event) => setText(event.target.value)}
        className="field-sizing-content max-h-40 min-h-9 w-full border border-ink bg-sheet px-2 py-1.5"
      />
      <ChosenAudience audience={audience} />
      <div className="flex items-stretch gap-1.5">
        <ChooseAudience audience={audience} />
        <Button type="submit" busy={give.isPending} disabled={text.trim() === ''}>
          {m.live_say()}
        </Button>
      </div>
    </form>
  );
}

/** What was sent last, and who has seen it. */
export function SaidNotices({ lesson }: { lesson: Lesson }) {
  if (lesson.notices.length === 0) return null;
  return (
    <ul aria-label={m.live_lastNotices()} className="space-y-1 text-sm">
      {lesson.notices.slice(0, 3).map((notice) => (
        <Said key={notice.seq} lesson={lesson} notice={notice} />
      ))}
    </ul>
  );
}
