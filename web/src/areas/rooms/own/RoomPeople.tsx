// Who is in a room with you: names, who speaks, cameras and screens.
import clsx from 'clsx';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../../ui/Button';
import { Ear } from '../../../ui/signs/Ear';
import * as m from '#messages';
import type { Person } from './people';

/** Somebody's camera or screen. What they say comes another way. */
function Picture({ track, label, isLarge }: { track: MediaStreamTrack; label: string; isLarge: boolean }) {
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    const element = video.current;
    if (element === null) return undefined;
    element.srcObject = new MediaStream([track]);
    element.play().catch(() => undefined);
    return () => {
      element.srcObject = null;
    };
  }, [track]);
  return (
    <video
      ref={video}
      muted
      playsInline
      aria-label={label}
      className={clsx('border border-ink bg-ink object-contain', isLarge ? 'max-h-96 w-full' : 'h-24 w-40')}
    />
  );
}

function PersonTag({ person }: { person: Person }) {
  // A teacher who only hears is an ear, not somebody with a microphone off.
  const listens = person.isStaff && !person.isOn;
  return (
    <li
      data-speaking={person.isSpeaking || undefined}
      className={clsx(
        'flex max-w-full items-center gap-1.5 border border-ink px-2 py-1',
        person.isSpeaking ? 'bg-ink text-ground' : 'bg-sheet',
      )}
    >
      {listens && <Ear />}
      <span className="min-w-0 wrap-anywhere">{person.name}</span>
      {person.isSpeaking && <span className="sr-only">{m.room_speaking()}</span>}
      {!person.isOn && (
        <span className={clsx('text-xs', person.isSpeaking ? '' : 'text-soft')}>
          {listens ? m.room_listens() : m.room_muted()}
        </span>
      )}
    </li>
  );
}

/** More than so many are not read at one look: those who can be heard or seen stand first, the others are counted. */
const most = 12;

const byName = (one: Person, other: Person) => one.name.localeCompare(other.name);

function Names({ people }: { people: Person[] }) {
  const [isOpen, setIsOpen] = useState(false);
  const isMany = people.length > most;
  const stands = (one: Person) => !isMany || one.isStaff || one.isOn || one.shares !== null;
  const quiet = people.filter((one) => !stands(one)).sort(byName);
  const shown = [...people.filter(stands), ...(isOpen ? quiet : [])];
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <ul aria-label={m.room_with()} className="contents">
        {shown.map((person) => (
          <PersonTag key={person.id} person={person} />
        ))}
      </ul>
      {quiet.length > 0 && (
        <Button look="quiet" className="text-sm" aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
          {isOpen ? m.room_fewerNames() : m.room_moreNames({ n: quiet.length })}
        </Button>
      )}
    </div>
  );
}

/** Tags beside each other; who shares something, or speaks with a camera on, is shown large. */
export function RoomPeople({ people }: { people: Person[] }) {
  const shown = people.filter((one) => one.picture !== null);
  const large = shown.find((one) => one.shares === 'screen') ?? shown.find((one) => one.isSpeaking) ?? null;
  return (
    <>
      {shown.length > 0 && (
        <div className="flex flex-wrap gap-1.5">
          {shown.map(
            (one) =>
              one.picture !== null && (
                <Picture
                  key={one.id}
                  track={one.picture}
                  isLarge={one === large}
                  label={
                    one.shares === 'screen' ? m.room_screenOf({ name: one.name }) : m.room_cameraOf({ name: one.name })
                  }
                />
              ),
          )}
        </div>
      )}
      <Names people={people} />
    </>
  );
}
