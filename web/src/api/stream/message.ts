import type { Schema, Whole } from '../client';

/** A message of the stream, with what it is about where that is said. */
export type Message<Name extends keyof Schema> = Whole<Omit<Schema[Name], 'lesson' | 'grouping'>> & {
  lesson?: string;
  grouping?: string;
};
