// The room a student's page is in.
import { api, take } from '../../../api/client';
import { RoomStay, type Outcome } from '../own/roomStay';

let told: Outcome | null = null;

/** Their teacher sees before the lesson who can't be heard. Whether it arrives changes nothing here. */
export function tellOutcome(outcome: Outcome): void {
  if (outcome === told) return;
  told = outcome;
  take(api.PUT('/api/student/microphone', { body: { outcome } })).catch(() => (told = null));
}

let seenIn: string | null = null;
/** Where the server sees the student now; null: in no room. */
export const noteSeen = (place: string | null) => {
  seenIn = place;
};

/** The server knows where the student belongs, and lets them in there alone. */
export const roomStay = new RoomStay(
  () => take(api.POST('/api/student/room')),
  tellOutcome,
  (place) => place === seenIn,
);
