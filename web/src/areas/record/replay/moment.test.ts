import { expect, test } from 'vitest';
import type { RecordView } from '../figures';
import { lastBy } from '../spans';
import { momentOf, replayOf } from './moment';

const kinds: RecordView['kinds'] = ['main', 'group', 'sideRoom', 'elsewhere', 'away'];
const figures = { arrivedAt: 0, groupMs: 0, inPlaceMs: 0, elsewhereMs: 0, awayMs: 0, put: 0, ofGroup: 0, slots: 0 };
const counts = { calls: 0, calledOn: 0, passed: 0, exitAnswered: 0, exitOf: 0, wrote: [] };

/** 100 s of a lesson: together until 20, in groups until 80; Ada late in Quayside, moved to Millbrook at 50. */
const record = {
  begunAt: 1_000,
  until: 101_000,
  kinds,
  groupIds: ['quayside', 'millbrook'],
  segments: [
    { kind: 'briefing', from: 1_000, to: 21_000 },
    { kind: 'round', from: 21_000, to: 81_000 },
  ],
  runs: [
    {
      id: 'r',
      round: 1,
      from: 21_000,
      to: 81_000,
      groups: [
        { id: 'quayside', name: 'Quayside', mark: 0 },
        { id: 'millbrook', name: 'Millbrook', mark: 1 },
      ],
    },
  ],
  groups: [{ group: 'quayside', round: 1, of: 6 }],
  students: [
    {
      student: 'ada',
      name: 'Ada',
      group: 'millbrook',
      ...figures,
      ...counts,
      strip: [
        [0, 0, -1],
        [20_000, 3, -1],
        [30_000, 1, 0],
        [50_000, 1, 1],
        [80_000, 0, -1],
      ],
    },
    { student: 'ben', name: 'Ben', group: 'quayside', ...figures, ...counts, strip: [[0, 4, -1]] },
  ],
  progress: [
    { group: 'quayside', at: 40_000, filled: 2, of: 6 },
    { group: 'quayside', at: 60_000, filled: 5, of: 6 },
  ],
  visits: [{ group: 'quayside', teacher: 't', from: 35_000, to: 45_000 }],
  calls: [{ group: 'quayside', student: 'ada', at: 32_000, until: 35_000 }],
  staff: [{ id: 't', name: 'Ines' }],
} as unknown as RecordView;
const at = (seconds: number) => momentOf(replayOf(record), 1_000 + seconds * 1_000);
const names = (seconds: number, group: number) =>
  at(seconds).groups[group]?.students.map((one) => `${one.name} ${one.kind}`);

test('before groups are out everybody is together', () => {
  expect(at(5)).toMatchObject({ round: null, segment: 'briefing', groups: [], together: 1, away: 1 });
});

test('whoever is on the way already belongs to their group', () => {
  expect(names(22, 0)).toEqual(['Ada elsewhere', 'Ben away']);
});

test('a move counts from its moment', () => {
  expect(names(49, 0)).toEqual(['Ada group', 'Ben away']);
  expect(names(50, 1)).toEqual(['Ada group']);
});

test('what was filled in, who called and who was with them', () => {
  expect(at(22).groups[0]).toMatchObject({ filled: 0, of: 6, callingSince: null, visitedBy: [] });
  expect(at(32).groups[0]).toMatchObject({ callingSince: 32_000 });
  expect(at(34).groups[0]).toMatchObject({ callingSince: null, visitedBy: ['Ines'] });
  expect(at(45).groups[0]).toMatchObject({ filled: 2, visitedBy: [] });
  expect(at(79).groups[0]).toMatchObject({ filled: 5 });
});

test('after the call back there are no groups', () => {
  expect(at(80)).toMatchObject({ round: null, groups: [], together: 1 });
});

test('the last by a moment is found as by looking at each', () => {
  const all = [1, 3, 3, 7, 20];
  for (let moment = 0; moment < 22; moment++) {
    expect(lastBy(all, moment, (one) => one)).toBe(all.filter((one) => one <= moment).at(-1));
  }
});
