// With whom the teacher was when: her path over the groups, and the minutes with each.
import { markOf } from '../../ui/signs/marks';
import { Sign } from '../../ui/signs/Sign';
import * as m from '#messages';
import { timeText } from '../../words/when';
import { groupsOnce, minutesText, type RecordView } from './figures';
import { timeScale } from './timeScale';

export function TeacherPath({ record }: { record: RecordView }) {
  const scale = timeScale(record.begunAt, record.until);
  const names = new Map(record.staff.map((one) => [one.id, one.name]));
  const teachers = [...new Set(record.visits.map((one) => one.teacher))];
  if (record.visits.length === 0) return <p className="text-soft">{m.record_noVisits()}</p>;
  return (
    <ul className="space-y-0.5">
      {groupsOnce(record.groups).map((group) => {
        const visits = record.visits.filter((one) => one.group === group.group);
        const all = visits.reduce((sum, one) => sum + one.to - one.from, 0);
        return (
          <li key={group.group} className="flex items-center gap-2 text-sm">
            <span className="flex w-44 shrink-0 items-center gap-1.5">
              <Sign mark={group.mark} size={14} />
              <span className="min-w-0 flex-1 truncate">{group.name}</span>
            </span>
            <span aria-hidden="true" className="relative h-5 min-w-0 flex-1 border-b border-line">
              {visits.map((visit) => (
                <span
                  key={`${visit.teacher}${visit.from}`}
                  title={`${names.get(visit.teacher) ?? ''}, ${timeText(visit.from)}–${timeText(visit.to)}`}
                  className="absolute inset-y-0.5 min-w-1"
                  style={{
                    insetInlineStart: `${scale.at(visit.from)}%`,
                    width: `${scale.width(visit.from, visit.to)}%`,
                    background: markOf(group.mark).colour,
                    opacity: teachers.indexOf(visit.teacher) === 0 ? 1 : 0.55,
                  }}
                />
              ))}
            </span>
            <span className="w-28 shrink-0 text-end tabular-nums">
              {visits.length === 0 ? m.record_notVisited() : minutesText(all)}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
