import type { Schema } from '../../api/client';
import { dayText } from '../../words/when';
import * as m from '#messages';

/** For which lessons a change of these groups counts, and for which it does not. */
export function UsedBy({ uses }: { uses: Schema['OtherUse'][] }) {
  const nameOf = (use: Schema['OtherUse']) =>
    `“${use.title}”${use.startsAt === null ? '' : ` (${dayText(use.startsAt)})`}`;
  const now = uses.filter((use) => use.isOut);
  const before = uses.filter((use) => !use.isOut);
  return (
    <div className="border-b border-line bg-sheet px-5 py-1.5 text-sm text-soft">
      {now.map((use) => (
        <p key={use.lessonId} className="font-semibold text-ink">
          {m.round_usedNow({ lesson: nameOf(use) })}
        </p>
      ))}
      {before.length > 0 && <p>{m.round_usedBy({ lessons: before.map(nameOf).join(', ') })}</p>}
    </div>
  );
}
