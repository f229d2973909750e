/** What slots hold that hold things: written as a JSON object, thing by thing (core/src/Materials/Slot). */
export type Things<T> = Record<string, T>;
export interface Card {
  place: number;
  under: string;
  /** Of a card students have added. */
  text?: string;
}
export interface Mark {
  from: number;
  to: number;
  kind: string;
  remark?: string;
}

export interface OwnPicture {
  media: string;
  place: number;
  caption?: string;
}

export function things<T>(value: string): Things<T> {
  if (value === '') return {};
  try {
    return JSON.parse(value) as Things<T>;
  } catch {
    return {}; // the server keeps none that cannot be read
  }
}

/** In the one form the server keeps it in: by name, so that the same is written the same. */
export function written(of: Things<unknown>): string {
  const names = Object.keys(of).sort();
  if (names.length === 0) return '';
  return JSON.stringify(
    Object.fromEntries(
      names.map((name) => {
        const one = of[name];
        return [
          name,
          typeof one === 'object' && one !== null
            ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
            : one,
        ];
      }),
    ),
  );
}

export function without<T>(of: Things<T>, name: string): Things<T> {
  return Object.fromEntries(Object.entries(of).filter(([one]) => one !== name));
}

/** A place between two others, or before, or behind. */
export function between(before: number | undefined, after: number | undefined): number {
  if (before === undefined) return after === undefined ? 1 : after - 1;
  return after === undefined ? before + 1 : (before + after) / 2;
}
