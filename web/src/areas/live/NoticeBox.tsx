import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { useMessages } from '../../ui/messages';
import { useKept } from '../../ui/useKept';
import { words } from '../../words';
import { liveWords } from '../../words/live';
import { timeText } from '../lesson/when';
import { command, useCommand } from './useCommand';

/** A notice to all, or to one group. What was typed stays until it has been said. */
export function NoticeBox({ lesson }: { lesson: Schema['LessonView'] }) {
  const [text, setText, sent] = useKept(`notice:${lesson.id}`);
  const give = useCommand(lesson.id);
  const { say } = useMessages();
  const [chosen, setTo] = useState('');
  const groups = lesson.signals.length > 0 ? lesson.floor.groups : [];
  const to = groups.some((group) => group.id === chosen) ? chosen : '';
  const nameOf = (id: string) => lesson.floor.groups.find((group) => group.id === id)?.name ?? '';
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        give.mutate(command('say', { text, group: to === '' ? null : to }), {
          onSuccess: () => {
            sent();
            say(words.live.said);
          },
        });
      }}
    >
      <label className="block text-sm font-semibold">
        {to === '' ? words.live.notice : liveWords.noticeTo(nameOf(to))}
        <textarea
          rows={2}
          maxLength={280}
          value={text}
          placeholder={words.live.noticeHint}
          onChange={(event) => setText(event.target.value)}
          className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 font-normal"
        />
      </label>
      {groups.length > 0 && (
        <Choice
          label={liveWords.toWhom}
          className="mt-1 text-sm"
          value={to}
          options={[
            { value: '', label: liveWords.toAll },
            ...groups.map((group) => ({ value: group.id, label: group.name })),
          ]}
          onChange={setTo}
        />
      )}
      <Button type="submit" className="mt-1" busy={give.isPending} disabled={text.trim() === ''}>
        {words.live.say}
      </Button>
      {lesson.notices.length > 0 && (
        <ul aria-label={words.live.lastNotices} className="mt-3 space-y-1 text-sm">
          {lesson.notices.slice(0, 3).map((notice) => (
            <li key={notice.seq} className="wrap-anywhere">
              <span className="text-soft tabular-nums">{words.live.saidAt(timeText(notice.at))}</span>{' '}
              {notice.group != null && <span className="text-soft">{liveWords.saidTo(nameOf(notice.group))} </span>}
              {notice.text}
            </li>
          ))}
        </ul>
      )}
    </form>
  );
}
