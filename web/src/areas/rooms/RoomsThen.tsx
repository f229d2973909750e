import type { Schema } from '../../api/client';
import * as m from '#messages';

/** The rooms the groups of a round had, of a lesson that is over. */
export function RoomsThen({ rooms }: { rooms: Schema['RunRoomView'][] }) {
  return (
    <section aria-labelledby="rooms-then" className="min-h-0 flex-1 overflow-y-auto p-5">
      <h2 id="rooms-then" className="text-xl font-semibold">
        {m.round_roomsThen()}
      </h2>
      {rooms.length === 0 && <p className="mt-2 text-soft">{m.round_noRoomsThen()}</p>}
      <ul className="mt-3 max-w-3xl">
        {rooms.map((room) => (
          <li key={room.group} className="grid gap-x-4 border-t border-line py-2 sm:grid-cols-[12rem_minmax(0,1fr)]">
            <span className="font-semibold wrap-anywhere">{room.group}</span>
            <span className="min-w-0 wrap-anywhere">
              {room.name}
              {room.link !== null && <span className="block text-sm text-soft">{room.link}</span>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
