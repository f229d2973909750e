// Where rooms can come from, and what can be asked of them there: one row a kind.
import type { Schema } from '../../api/client';
import * as m from '#messages';

type Kind = Schema['RoomView']['source'];

interface Source {
  /** People are sent there through an address. */
  hasLink: boolean;
  /** It is made for us, people can be moved there and spoken to there, and we are told who is there. */
  answers: boolean;
  /** It opens in our own pages, and is there whenever there is a group: nothing has to be made beforehand. */
  isHere: boolean;
  /** Whoever is first may have to open it for the others. */
  mayNeedOpening: boolean;
  /** Its link is pasted by somebody. */
  isPasted: boolean;
  /** Its address follows from a pattern of the class. */
  isFromPattern: boolean;
}

const none: Source = {
  hasLink: true,
  answers: false,
  isHere: false,
  mayNeedOpening: false,
  isPasted: false,
  isFromPattern: false,
};

const known: Record<Kind, Source> = {
  ownRooms: { ...none, hasLink: false, answers: true, isHere: true },
  meetingService: { ...none, answers: true },
  ownLinks: { ...none, mayNeedOpening: true, isPasted: true },
  namePattern: { ...none, mayNeedOpening: true, isFromPattern: true },
  classroom: { ...none, hasLink: false },
};

/** The same as the server takes it for (`SourceKind`). */
export const sourceOf = (kind: Kind): Source => known[kind];

/** To be chosen. */
export const sources = (Object.keys(known) as Kind[]).map((kind) => ({
  value: kind,
  label: m.rooms_sources({ key: kind }),
}));
