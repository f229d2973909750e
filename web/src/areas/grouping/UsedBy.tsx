import type { Schema } from '../../api/client';
import * as m from '#messages';

const dayOf = (at: number) =>
  new Date(at).toLocaleDateString(undefined, { weekday: 'short', day: 'numeric', month: 'short' });

/** For which lessons a change of these groups counts, and for which it does not. */
export function UsedBy({ uses }: { uses: Schema['OtherUse'][] }) {
  const nameOf = (use: Schema['OtherUse']) =>
    `“${use.title}”${use.startsAt === null ? '' : ` (${dayOf(use.startsAt)})`}`;
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
