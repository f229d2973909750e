// Shows a piece of work to everybody, in one press.
import clsx from 'clsx';
import { useKeys } from '../../ui/keys/useKeys';
import { Button } from '../../ui/Button';
import * as m from '#messages';
import type { LessonParts, WorkPlace } from '../live/laterParts';
import { useDebrief, usePutDown, useShow, type Debrief } from './useDebrief';

const isSame = (held: Debrief['heldUp'][number], place: WorkPlace) =>
  held.copy === place.copy &&
  (held.page ?? undefined) === place.page &&
  (held.slot ?? undefined) === place.slot &&
  (held.owner ?? undefined) === place.owner;

/** The sign for work that is held up. */
function Placard() {
  return (
    <svg viewBox="0 0 16 16" className="me-1 inline-block size-3.5 align-[-0.1em]" aria-hidden="true">
      <path d="M2.500 2h11v7h-11zM8 9v5.500" fill="none" stroke="currentColor" strokeWidth="1.600" />
    </svg>
  );
}

/** The key that shows the page that lies open. */
function ShowKey({ press }: { press: () => void }) {
  useKeys({ h: press });
  return null;
}

export const WorkPress: LessonParts['WorkPress'] = ({ lesson, place, byKey = false, small = false }) => {
  const debrief = useDebrief(lesson);
  const show = useShow(lesson.id);
  const putDown = usePutDown(lesson.id);
  if (debrief === undefined) return null;
  const isOn = debrief.heldUp.some((held) => isSame(held, place));
  const press = () => (isOn ? putDown.mutate() : show.mutate(place));
  return (
    <>
      {byKey && <ShowKey press={press} />}
      <Button
        look={small ? 'quiet' : 'plain'}
        className={clsx(
          'relative z-10 whitespace-nowrap',
          small ? 'text-xs! font-normal' : 'px-3 py-1 font-semibold',
          isOn && 'bg-ink! text-ground',
        )}
        busy={show.isPending || putDown.isPending}
        aria-pressed={isOn}
        onClick={press}
      >
        <Placard />
        {isOn ? m.debrief_stopShowing() : small ? m.debrief_show() : m.debrief_showEveryone()}
      </Button>
      {!small && !isOn && debrief.heldUp.length > 0 && (
        <Button className="ms-2 px-2 py-1" onClick={() => show.mutate({ ...place, beside: true })}>
          {m.debrief_showBeside()}
        </Button>
      )}
    </>
  );
};
