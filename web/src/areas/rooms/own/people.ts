// Who is in a room, as the media server tells it.
import type { Message, Publisher } from './janus';

export interface Person {
  id: string;
  name: string;
  isStaff: boolean;
  /** They have a microphone on. */
  isOn: boolean;
  isSpeaking: boolean;
  /** What their pictures are of. */
  shares: 'camera' | 'screen' | null;
  /** Once they have come. */
  picture: MediaStreamTrack | null;
}

export type People = ReadonlyMap<string, Person>;

export const nobody: People = new Map();

const without = (people: People, id: string): People => {
  if (!people.has(id)) return people;
  const left = new Map(people);
  left.delete(id);
  return left;
};

/** @returns the same map where there is no such person */
export const changed = (people: People, id: string, how: Partial<Person>): People => {
  const one = people.get(id);
  return one === undefined ? people : new Map(people).set(id, { ...one, ...how });
};

function sharesOf({ streams = [] }: Publisher): Person['shares'] {
  const picture = streams.find((stream) => stream.type === 'video' && stream.disabled !== true);
  if (picture === undefined) return null;
  return picture.description === 'screen' ? 'screen' : 'camera';
}

const isOnIn = ({ streams = [] }: Publisher) =>
  streams.some((stream) => stream.type === 'audio' && stream.disabled !== true && stream.description !== 'muted');

function present(people: People, from: Publisher): People {
  const known = people.get(from.id);
  const shares = sharesOf(from);
  return new Map(people).set(from.id, {
    id: from.id,
    name: from.display ?? known?.name ?? '',
    isStaff: from.id.startsWith('staff-'),
    isOn: isOnIn(from),
    isSpeaking: from.talking ?? known?.isSpeaking ?? false,
    shares,
    picture: shares === null ? null : (known?.picture ?? null),
  });
}

/** @returns who is there after a message; the same map where nobody came, went, spoke or fell silent */
export function afterMessage(people: People, message: Message): People {
  let after = people;
  for (const one of [...(message.attendees ?? []), ...(message.publishers ?? [])]) after = present(after, one);
  if (message.joining !== undefined && !after.has(message.joining.id)) after = present(after, message.joining);
  const gone = message.leaving ?? message.kicked;
  if (gone !== undefined) after = without(after, gone);
  if (message.unpublished !== undefined)
    after = changed(after, message.unpublished, { isOn: false, isSpeaking: false, shares: null, picture: null });
  if (message.id !== undefined && message.videoroom?.endsWith('talking') === true)
    after = changed(after, message.id, { isSpeaking: message.videoroom === 'talking' });
  return after;
}
