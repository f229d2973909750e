// A student is called to where they should be.
import { useEffect, useState } from 'react';
import type { Schema } from '../../../api/client';
import { drawer } from '../../../ui/drawer';
import * as m from '#messages';
import { GoButton } from './GoButton';

const seen = drawer('fetched.seen');
/** A call that is older says nothing any more. */
const callsFor = 180_000;

/** Where a student is to be at this moment: `main`, or the id of a group or a side room. */
export function placeNow(now: Schema['StudentNow'], isOut: boolean, serverNow: number): string | null {
  if (!isOut) return 'main';
  return now.aside !== null && now.aside.from <= serverNow ? now.aside.place : (now.group?.id ?? null);
}

/**
 * The teacher calls this student to where they should be: large, with a buzz, until they are there or say that they
 * come.
 */
export function Fetched({
  now,
  place,
  serverNow,
}: {
  now: Schema['StudentNow'];
  place: string | null;
  serverNow: number;
}) {
  const at = now.fetchedAt;
  const [done, setDone] = useState(() => Number(seen.load() ?? 0));
  const calls = at !== null && at > done && serverNow - at < callsFor && place !== null && now.seenIn !== place;
  useEffect(() => {
    if (calls && 'vibrate' in navigator) navigator.vibrate([300, 150, 300, 150, 300]);
  }, [calls, at]);
  // Whoever presses a button that leads there is coming.
  useEffect(() => {
    if (!calls) return undefined;
    const press = (event: MouseEvent) => {
      if (!(event.target instanceof Element) || event.target.closest('a[href="/api/student/room"]') === null) return;
      seen.save(String(at));
      setDone(at);
    };
    document.addEventListener('click', press);
    return () => document.removeEventListener('click', press);
  }, [calls, at]);
  if (!calls) return null;
  const coming = () => {
    seen.save(String(at));
    setDone(at);
  };
  const goal = {
    where: place === 'main' ? 'main' : 'room',
    room: place === now.aside?.place ? now.aside.name : (now.group?.name ?? ''),
  };
  const way = place === 'main' ? now.mainSession : place === now.aside?.place ? now.aside.room : now.group?.room;
  return (
    <div
      role="alert"
      data-called={way?.way === 'press' ? '' : undefined}
      className="sticky top-2 z-30 mb-5 flex flex-col gap-3 border-4 border-ink bg-accent p-4 text-on-accent"
    >
      <p className="text-2xl leading-tight font-bold text-balance wrap-anywhere">{m.student_aside_fetched(goal)}</p>
      {way?.way === 'press' && (
        <span className="[&_a]:bg-sheet [&_a]:text-ink">
          <GoButton>{m.student_aside_button(goal)}</GoButton>
        </span>
      )}
      <button type="button" onClick={coming} className="min-h-9 self-start border-2 border-current px-3 text-base">
        {m.student_aside_coming()}
      </button>
    </div>
  );
}
