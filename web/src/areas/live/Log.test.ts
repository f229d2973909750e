import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { lineOf } from './Log';

type Entry = Schema['LogEntry'];
const entry = (kind: Entry['kind'], more: Partial<Entry> = {}): Entry => ({
  seq: 1,
  at: 0,
  kind,
  who: 'Ines',
  group: null,
  from: null,
  groups: [],
  students: [],
  student: null,
  place: null,
  text: null,
  segment: null,
  about: null,
  mark: null,
  help: null,
  until: null,
  ...more,
});

describe('the log in words', () => {
  it.each<[string, Entry]>([
    ['went to Quayside', entry('visitBegun', { group: 'Quayside' })],
    [
      'moved Ada from Quayside to Millbrook',
      entry('seatsChanged', { student: 'Ada', from: 'Quayside', group: 'Millbrook' }),
    ],
    ['seated Ada in Millbrook', entry('seatsChanged', { student: 'Ada', group: 'Millbrook' })],
    ['took Ada off Quayside', entry('seatsChanged', { student: 'Ada', from: 'Quayside' })],
    [
      'said to Quayside and Millbrook: “Two minutes.”',
      entry('noticeSaid', { groups: ['Quayside', 'Millbrook'], text: 'Two minutes.' }),
    ],
    ['said to everybody: “Two minutes.”', entry('noticeSaid', { text: 'Two minutes.' })],
    ['took Ada to the main session', entry('takenAside', { student: 'Ada', place: 'main' })],
    ['fetched: Ada', entry('fetched', { student: 'Ada', help: 'fetch' })],
    ['wiped the mark off Quayside', entry('chalkMarked', { group: 'Quayside' })],
    ['stopped the clock', entry('paused')],
    ['went on to: Share-out', entry('segmentBegun', { segment: 'shareOut' })],
  ])('%s', (line, of) => {
    expect(lineOf(of)).toBe(line);
  });
});
