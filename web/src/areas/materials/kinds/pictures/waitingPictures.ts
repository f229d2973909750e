import { createStore, del, entries, set, type UseStore } from 'idb-keyval';

/** A picture that was put in and has not reached the server yet. */
export interface WaitingPicture {
  /** What it will be known by on the sheet: sent twice, it is there once. */
  id: string;
  /** Of which place on which sheet. */
  at: string;
  /** Its bytes in base64. */
  content: string;
}

let opened: UseStore | undefined;
const store = () => (opened ??= createStore('pictures', 'waiting'));

/** A browser that keeps nothing still sends while the page is open. */
async function quietly<T>(act: () => Promise<T>, otherwise: T): Promise<T> {
  try {
    return await act();
  } catch {
    return otherwise;
  }
}

/** Keeps a picture on this device until it is through. */
export function putAside(picture: WaitingPicture): Promise<void> {
  return quietly(() => set(picture.id, picture, store()), undefined);
}

/** What still waits here for one place, in the order in which it was put in. */
export async function waitingAt(at: string): Promise<WaitingPicture[]> {
  const all = await quietly(() => entries<string, WaitingPicture>(store()), []);
  return all.map(([, picture]) => picture).filter((picture) => picture.at === at);
}

export function isThrough(id: string): Promise<void> {
  return quietly(() => del(id, store()), undefined);
}
