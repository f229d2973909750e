/** How much room the tables have: inside the edges, in pixels. */
export interface FloorRoom {
  width: number;
  height: number;
}

const usual: FloorRoom = { width: 900, height: 500 };
const name = 'floor';
const aYear = 365 * 24 * 3_600;

let rendered: FloorRoom | null = null;

/** Only where the server renders a page: how much room there was when this browser last showed tables. */
export function setRenderedRoom(room: FloorRoom | null): void {
  rendered = room;
}

const roomOf = (text: string): FloorRoom | null => {
  const [, width, height] = /^(\d{2,4})x(\d{2,4})$/.exec(text) ?? [];
  return width === undefined || height === undefined ? null : { width: Number(width), height: Number(height) };
};

/** As `<html data-floor>` and the cookie hold it. */
export const roomText = ({ width, height }: FloorRoom): string => `${Math.round(width)}x${Math.round(height)}`;

/** @returns null if the cookie is missing or invalid */
export function floorRoomIn(cookies: string): FloorRoom | null {
  return roomOf(new RegExp(`(?:^|; *)${name}=([^;]*)`).exec(cookies)?.[1] ?? '');
}

/** The room before it is measured: what the server rendered the page for, so that nothing moves afterwards. */
export function roomAtFirst(): FloorRoom {
  return (typeof document === 'undefined' ? rendered : roomOf(document.documentElement.dataset.floor ?? '')) ?? usual;
}

/** Sets a cookie, so that the server can render the next page for this room. */
export function keepRoom(room: FloorRoom): void {
  document.cookie = `${name}=${roomText(room)}; path=/; max-age=${aYear}; samesite=lax`;
}
