// What a record's figures say in words and numbers.
import type { Schema, Whole } from '../../api/client';
import * as m from '#messages';

export type RecordView = Whole<Schema['RecordView']>;
export type StudentRecord = RecordView['students'][number];
export type Correction = RecordView['corrections'][number];
export type Figure = Correction['figure'];
export type PointsPart = RecordView['pointsRule'][number];
export type GroupRecord = RecordView['groups'][number];

/** 754,000 ms as 12.6. */
export const minutesOf = (ms: number): number => Math.round(ms / 6_000) / 10;
export const minutesText = (ms: number): string => m.record_min({ n: minutesOf(ms).toFixed(1) });

/** Of what was written in their groups, in per cent; null where nothing was. */
export const shareOf = ({ put, ofGroup }: Pick<StudentRecord, 'put' | 'ofGroup'>): number | null =>
  ofGroup === 0 ? null : Math.round((100 * put) / ofGroup);

/** Students by the groups they were in last, in the order of the groups; whoever was in none comes last. */
export function byGroups({ students, groups }: Pick<RecordView, 'students' | 'groups'>): StudentRecord[] {
  const order = new Map(groups.map((group, i) => [group.group, i]));
  const place = (one: StudentRecord) => order.get(one.group ?? '') ?? Infinity;
  return students
    .map((one, i) => ({ one, i }))
    .sort((a, b) => place(a.one) - place(b.one) || a.i - b.i)
    .map(({ one }) => one);
}

/** The groups of a lesson, each once: of the last run it was in. */
export const groupsOnce = (groups: GroupRecord[]): GroupRecord[] => [
  ...new Map(groups.map((group) => [group.group, group])).values(),
];

/** Figures that are lengths of time. */
const times = new Set<Figure>(['inPlaceMs', 'elsewhereMs', 'awayMs']);

/** What is typed for a figure: minutes with one decimal, or a number; null where it is no number. */
export function typedFigure(figure: Figure, text: string): number | null {
  const number = Number(text.trim().replace(',', '.'));
  if (text.trim() === '' || !Number.isFinite(number) || number < 0) return null;
  return times.has(figure) ? Math.round(number * 60_000) : Math.round(number);
}

/** A figure as it is read and typed. */
export const figureText = (figure: Figure, value: number): string =>
  times.has(figure) ? minutesOf(value).toFixed(1) : String(value);

/** How a figure was corrected, by student and figure. */
export function correctionsOf({ corrections }: Pick<RecordView, 'corrections'>): Map<string, Correction> {
  return new Map(corrections.map((one) => [`${one.student} ${one.figure}`, one]));
}
