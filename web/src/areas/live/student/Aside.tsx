// Where a student is to be for a while, on their own page.
import type { Schema } from '../../../api/client';
import * as m from '#messages';
import { GoButton } from './GoButton';

type Now = Schema['StudentNow'];

/** Where a student is to be for a while, and the way there. */
export function Aside({ now, aside }: { now: Now; aside: Schema['MyAside'] }) {
  const there = now.seenIn === aside.place;
  const way = aside.room?.way ?? now.mainSession.way;
  const goal = { where: aside.place === 'main' ? 'main' : 'room', room: aside.name };
  return (
    <>
      <h1 className="text-4xl leading-tight font-bold text-balance wrap-anywhere">
        {there
          ? m.student_aside_there(goal)
          : way === 'place'
            ? m.student_now_atPlace({ place: aside.place === 'main' ? '' : aside.name })
            : m.student_aside_go(goal)}
      </h1>
      {way === 'press' && (
        <GoButton plain={there}>{there ? m.student_now_backInRoom() : m.student_aside_button(goal)}</GoButton>
      )}
    </>
  );
}
