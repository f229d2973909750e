// Who did what in a lesson.
import { useQuery } from '@tanstack/react-query';
import { api, take, type Schema } from '../../api/client';
import { problemText } from '../../api/problem';
import { Sheet } from '../../ui/slips/Sheet';
import * as m from '#messages';
import { segmentName } from '../lesson/segmentName';
import { list } from '../../words/list';
import { timeText } from '../../words/when';

type Entry = Schema['LogEntry'];

/** What was done while the class talked about its work. */
function lineOfDebrief(entry: Entry): string {
  const group = entry.group ?? '';
  const who = entry.student ?? '';
  switch (entry.kind) {
    case 'calledOn':
      return m.round_log_calledOn({ who });
    case 'callAnswered':
      return m.round_log_callAnswered({ who });
    case 'callPassed':
      return m.round_log_callPassed({ who });
    case 'turnBegun':
      return m.round_log_turnBegun({ group });
    case 'shareOutDone':
      return m.round_log_shareOutDone();
    case 'heldUp':
      return entry.group === null ? m.round_log_sumShown() : m.round_log_heldUp({ group });
    case 'putDown':
      return m.round_log_putDown();
    case 'galleryOpened':
      return m.round_log_galleryOpened();
    case 'galleryClosed':
      return m.round_log_galleryClosed();
    case 'questionAsked':
      return m.round_log_questionAsked({ text: entry.text ?? '' });
    default:
      return '';
  }
}

/** One line of the log in words, without who did it. */
export function lineOf(entry: Entry): string {
  const group = entry.group ?? '';
  const who = entry.student ?? '';
  const time = entry.until === null ? '' : timeText(entry.until);
  switch (entry.kind) {
    case 'segmentBegun':
      return m.round_log_segmentBegun({ what: entry.segment === null ? '' : segmentName(entry.segment, null) });
    case 'lessonEnded':
      return m.round_log_lessonEnded();
    case 'lessonReopened':
      return m.round_log_lessonReopened();
    case 'sentOut':
      return m.round_log_sentOut();
    case 'takenBack':
      return m.round_log_takenBack();
    case 'endChanged':
      return m.round_log_endChanged({ time });
    case 'calledBack':
      return m.round_log_calledBack();
    case 'keptWorking':
      return m.round_log_keptWorking();
    case 'paused':
      return m.round_log_paused();
    case 'wentOn':
      return m.round_log_wentOn({ time });
    case 'noticeSaid': {
      const named = [...entry.groups, ...entry.students];
      return m.round_log_noticeSaid({ to: named.length > 0 ? list(named) : m.round_toAll(), text: entry.text ?? '' });
    }
    case 'seatsChanged':
      if (entry.group === null) return m.round_log_seatRemoved({ who, from: entry.from ?? m.round_log_anyGroup() });
      return entry.from === null
        ? m.round_log_seatGiven({ who, to: entry.group })
        : m.round_log_seatMoved({ who, from: entry.from, to: entry.group });
    case 'callMade':
      return m.round_log_callMade({ group, about: entry.about === null ? '' : m.round_about({ key: entry.about }) });
    case 'callSeen':
      return m.round_log_callSeen({ group });
    case 'callTakenBack':
      return m.round_log_callTakenBack({ group });
    case 'visitBegun':
      return m.round_log_visitBegun({ group });
    case 'visitEnded':
      return m.round_log_visitEnded({ group });
    case 'chalkMarked':
      return entry.mark === null
        ? m.round_log_chalkWiped({ group })
        : m.round_log_chalkMarked({ group, mark: m.round_marks({ key: entry.mark }) });
    case 'takenAside':
      return m.round_log_takenAside({ who, place: entry.place === 'main' ? m.round_log_main() : (entry.place ?? '') });
    case 'putBack':
      return m.round_log_putBack({ who });
    case 'fetched':
      return m.round_log_fetched({ how: entry.help ?? 'fetch', who });
    case 'whereaboutsChanged':
      return '';
    default:
      return lineOfDebrief(entry);
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
    <Sheet open={open} onClose={onClose} title={m.round_log_title()} wide>
      {entries.isPending && <p className="text-soft">{m.common_loading()}</p>}
      {entries.isError && <p className="font-semibold text-lost">{problemText(entries.error)}</p>}
      {entries.data?.length === 0 && <p className="text-soft">{m.round_log_empty()}</p>}
      <ol className="border-t border-ink">
        {entries.data?.map((entry) => (
          <li key={entry.seq} className="flex gap-3 border-b border-line py-1.5 wrap-anywhere">
            <span className="w-20 shrink-0 text-soft tabular-nums">{timeText(entry.at)}</span>
            <span className="min-w-0">
              <span className="font-semibold">{entry.who === '' ? m.round_log_byItself() : entry.who}</span>{' '}
              {lineOf(entry)}
            </span>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
