// A student is called somewhere else, in a moment.
import type { Schema } from '../../../api/client';
import { secondsUntil } from '../../../api/clock';
import { Duration } from '../../../ui/signs/Duration';
import * as m from '#messages';

/** Where to, and how soon. */
export default function AsideSoon({ aside, serverNow }: { aside: Schema['MyAside']; serverNow: number }) {
  return (
    <div role="alert" className="sticky top-0 z-10 -mx-5 -mt-5 mb-5 bg-ink px-5 py-4 text-ground">
      <p className="text-lg wrap-anywhere">
        {m.student_aside_soon({ where: aside.place === 'main' ? 'main' : 'room', room: aside.name })}
      </p>
      <p className="text-5xl font-bold tabular-nums" aria-hidden="true">
        <Duration seconds={secondsUntil(aside.from, serverNow)} />
      </p>
    </div>
  );
}
