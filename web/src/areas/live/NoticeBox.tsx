import type { Schema } from '../../api/client';
import { Button } from '../../ui/Button';
import { useMessages } from '../../ui/messages';
import { useKept } from '../../ui/useKept';
import { words } from '../../words';
import { timeText } from '../lesson/when';
import { command, useCommand } from './useCommand';

/** A notice to all. What was typed stays until it has been said. */
export function NoticeBox({ lesson }: { lesson: Schema['LessonView'] }) {
  const [text, setText, sent] = useKept(`notice:${lesson.id}`);
  const give = useCommand(lesson.id);
  const { say } = useMessages();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        give.mutate(command('say', { text }), {
          onSuccess: () => {
            sent();
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
              <span className="text-soft tabular-nums">{words.live.saidAt(timeText(notice.at))}</span> {notice.text}
            </li>
          ))}
        </ul>
      )}
    </form>
  );
}
