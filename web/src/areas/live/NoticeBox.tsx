import { useState } from 'react';
import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/messages';
import { words } from '../../words';
import { command, useCommand } from './useCommand';

const clockTime = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });

/** A notice to all. What was typed stays until it has been said. */
export function NoticeBox({ lesson }: { lesson: Schema['LessonView'] }) {
  const [text, setText] = useState('');
  const give = useCommand(lesson.id);
  const { say } = useMessages();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        give.mutate(command('say', { text }), {
          onSuccess: () => {
            setText('');
            say(words.live.said);
          },
        });
      }}
    >
      <label className="block text-sm font-semibold">
        {words.live.notice}
        <textarea
          rows={2}
          maxLength={280}
          value={text}
          placeholder={words.live.noticeHint}
          onChange={(event) => setText(event.target.value)}
          className="mt-1 w-full border border-ink bg-sheet px-2 py-1.5 font-normal"
        />
      </label>
      <Button type="submit" className="mt-1" busy={give.isPending} disabled={text.trim() === ''}>
        {words.live.say}
      </Button>
      {lesson.notices.length > 0 && (
        <ul aria-label={words.live.lastNotices} className="mt-3 space-y-1 text-sm">
          {lesson.notices.slice(0, 3).map((notice) => (
            <li key={notice.seq} className="wrap-anywhere">
              <span className="text-soft tabular-nums">{clockTime.format(notice.at)}</span> {notice.text}
            </li>
          ))}
        </ul>
      )}
    </form>
  );
}
