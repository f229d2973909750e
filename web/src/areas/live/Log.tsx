import { useQuery } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Sheet } from '../../ui/Sheet';
import { list, words } from '../../words';
import { liveWords } from '../../words/live';
import { timeText } from '../lesson/when';

type Entry = Schema['LogEntry'];
const { log } = liveWords;

/** One line of the log in words, without who did it. */
export function lineOf(entry: Entry): string {
  const { lines } = log;
  const group = entry.group ?? '';
  const student = entry.student ?? '';
  const until = entry.until === null ? '' : timeText(entry.until);
  switch (entry.kind) {
    case 'segmentBegun':
      return lines.segmentBegun(entry.segment === null ? '' : words.order.name(entry.segment, null));
    case 'endChanged':
      return lines.endChanged(until);
    case 'wentOn':
      return lines.wentOn(until);
    case 'noticeSaid':
      return lines.noticeSaid(
        entry.groups.length + entry.students.length > 0 ? list([...entry.groups, ...entry.students]) : liveWords.toAll,
        entry.text ?? '',
      );
    case 'seatsChanged':
      return lines.seatsChanged(student, entry.from, entry.group);
    case 'callMade':
      return lines.callMade(group, entry.about === null ? '' : liveWords.about[entry.about]);
    case 'callSeen':
    case 'callTakenBack':
    case 'visitBegun':
    case 'visitEnded':
      return lines[entry.kind](group);
    case 'chalkMarked':
      return lines.chalkMarked(group, entry.mark === null ? null : liveWords.marks[entry.mark]);
    case 'takenAside':
      return lines.takenAside(student, entry.place === 'main' ? lines.main : (entry.place ?? ''));
    case 'putBack':
      return lines.putBack(student);
    case 'fetched':
      return lines.fetched(student, lines.how[entry.help ?? 'fetch']);
    default:
      return lines[entry.kind];
  }
}

/** Who did what in this lesson, the latest first. */
export function Log({ lesson, open, onClose }: { lesson: Schema['LessonView']; open: boolean; onClose: () => void }) {
  const entries = useQuery({
    queryKey: ['log', lesson.id, lesson.seq],
    queryFn: () => take(api.GET('/api/staff/lessons/{id}/log', { params: { path: { id: lesson.id } } })),
    enabled: open,
    placeholderData: (before) => before,
  });
  return (
    <Sheet open={open} onClose={onClose} title={log.title} wide>
      {entries.isPending && <p className="text-soft">{words.common.loading}</p>}
      {entries.isError && <p className="font-semibold text-lost">{problemText(entries.error)}</p>}
      {entries.data?.length === 0 && <p className="text-soft">{log.empty}</p>}
      <ol className="border-t border-ink">
        {entries.data?.map((entry) => (
          <li key={entry.seq} className="flex gap-3 border-b border-line py-1.5 wrap-anywhere">
            <span className="w-20 shrink-0 text-soft tabular-nums">{timeText(entry.at)}</span>
            <span className="min-w-0">
              <span className="font-semibold">{entry.who === '' ? log.byItself : entry.who}</span> {lineOf(entry)}
            </span>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
