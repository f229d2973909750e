// Everybody in a room is told that it is recorded.
import * as m from '#messages';

export const RecordedNote = () => (
  <p role="alert" className="flex items-center gap-2 font-semibold text-lost">
    <span aria-hidden="true" className="inline-block size-3 rounded-full bg-lost" />
    {m.room_recorded()}
  </p>
);
