// Who is in a room, as the media server tells it.
import type { Message, Publisher } from './janus';

export interface Person {
  id: string;
  name: string;
  isStaff: boolean;
  /** They have a microphone on. */
  isOn: boolean;
  isSpeaking: boolean;
  camera: MediaStreamTrack | null;
  screen: MediaStreamTrack | null;
}

export type People = ReadonlyMap<string, Person>;

const without = (people: People, id: string): People => {
  const left = new Map(people);
  left.delete(id);
  return left;
};

const changed = (people: People, id: string, how: Partial<Person>): People => {
  const one = people.get(id);
  return one === undefined ? people : new Map(people).set(id, { ...one, ...how });
};

function here(people: People, from: Publisher, isOn: boolean): People {
  const known = people.get(from.id);
  return new Map(people).set(from.id, {
    id: from.id,
    name: from.display ?? known?.name ?? '',
    isStaff: from.id.startsWith('staff-'),
    camera: known?.camera ?? null,
    screen: known?.screen ?? null,
    isSpeaking: from.talking === true,
    isOn,
  });
}

const hasSound = (from: Publisher) =>
  (from.streams ?? []).some(
    (stream) => stream.type === 'audio' && stream.disabled !== true && stream.description !== 'muted',
  );

/** @returns who is there after a message; the same map where nobody came, went, spoke or fell silent */
export function afterMessage(people: People, message: Message): People {
  let after = people;
  for (const one of message.attendees ?? []) after = here(after, one, false);
  for (const one of message.publishers ?? []) after = here(after, one, hasSound(one));
  if (message.joining !== undefined && !after.has(message.joining.id)) after = here(after, message.joining, false);
  const gone = message.leaving ?? message.kicked;
  if (gone !== undefined && gone !== 'ok') after = without(after, gone);
  if (message.unpublished !== undefined && message.unpublished !== 'ok')
    after = changed(after, message.unpublished, { isOn: false, isSpeaking: false, camera: null, screen: null });
  if (message.id !== undefined && (message.videoroom === 'talking' || message.videoroom === 'stopped-talking'))
    after = changed(after, message.id, { isSpeaking: message.videoroom === 'talking' });
  return after;
}

export { changed };
