// The room a student's page is in.
import { api, take } from '../../../api/client';
import { RoomStay } from '../own/roomStay';

/** The server knows where the student belongs, and lets them in there alone. */
export const roomStay = new RoomStay(() => take(api.POST('/api/student/room')));
