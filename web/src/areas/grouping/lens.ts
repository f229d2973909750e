import { createContext, useState } from 'react';
import type { Schema } from '../../api/client';
import * as m from '#messages';

/** What a name tag can be seen through. */
export interface Seen {
  id: string;
  table: string | null;
  attributes: Schema['AttributeValue'][];
  tags: string[];
  /** How many at the same table they have sat with before; absent where that is not known. */
  met?: number;
}

/** What stands under a name; '' for nothing. */
export const LensContext = createContext<(student: string) => string>(() => '');

const attribute = 'attribute:';

/** The lenses there are for a class: only those that would show something. */
export function lenses(students: Seen[]): { value: string; label: string }[] {
  const attributes = [...new Set(students.flatMap((student) => student.attributes.map((one) => one.name)))];
  return [
    { value: '', label: m.floor_lensNone() },
    ...attributes.map((name) => ({ value: `${attribute}${name}`, label: name })),
    ...(students.some((student) => student.tags.length > 0) ? [{ value: 'tags', label: m.roster_tags() }] : []),
    ...(students.some((student) => student.table !== null) ? [{ value: 'table', label: m.roster_table() }] : []),
    ...(students.some((student) => student.met !== undefined) ? [{ value: 'met', label: m.floor_lensMet() }] : []),
  ];
}

/** What a lens shows of a student. */
export function through(lens: string, student: Seen | undefined): string {
  if (student === undefined || lens === '') return '';
  if (lens === 'tags') return student.tags.join(', ');
  if (lens === 'table') return student.table ?? '';
  if (lens === 'met') return student.met === undefined ? '' : m.floor_lensMetOf({ n: student.met });
  const name = lens.slice(attribute.length);
  return student.attributes.find((one) => one.name === name)?.value ?? '';
}

/** The lens of a floor, kept for as long as the page is open. */
export function useLens(students: Seen[]) {
  const [chosen, setChosen] = useState('');
  const all = lenses(students);
  const lens = all.some((one) => one.value === chosen) ? chosen : '';
  const byId = new Map(students.map((student) => [student.id, student]));
  return { lens, setLens: setChosen, lenses: all, seen: (id: string) => through(lens, byId.get(id)) };
}
