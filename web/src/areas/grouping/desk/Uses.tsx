import type { Schema } from '../../../api/client';
import { dateText } from '../../../words/when';
import * as m from '#messages';

/** When the class has sat in groups before. */
export function Uses({ uses }: { uses: Schema['UseView'][] }) {
  return (
    <details className="border-t border-line pt-2">
      <summary className="min-h-6 font-semibold">{m.desk_history()}</summary>
      {uses.length === 0 && <p className="text-sm text-soft">{m.desk_historyNone()}</p>}
      <ul className="mt-1 text-sm">
        {[...uses].reverse().map((use) => (
          <li key={use.at}>
            {use.name} <span className="text-soft">{dateText(use.at)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
