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
    ['visited Quayside', entry('visitBegun', { group: 'Quayside' })],
    [
      'moved Ada from Quayside to Millbrook',
      entry('seatsChanged', { student: 'Ada', from: 'Quayside', group: 'Millbrook' }),
    ],
    ['put Ada in Millbrook', entry('seatsChanged', { student: 'Ada', group: 'Millbrook' })],
    ['took Ada out of Quayside', entry('seatsChanged', { student: 'Ada', from: 'Quayside' })],
    [
      'sent a message to Quayside and Millbrook: “Two minutes left.”',
      entry('noticeSaid', { groups: ['Quayside', 'Millbrook'], text: 'Two minutes left.' }),
    ],
    ['sent a message to everyone: “Two minutes left.”', entry('noticeSaid', { text: 'Two minutes left.' })],
    ['moved Ada to the main session', entry('takenAside', { student: 'Ada', place: 'main' })],
    ['fetched Ada', entry('fetched', { student: 'Ada', help: 'fetch' })],
    ['cleared the signal to Quayside', entry('chalkMarked', { group: 'Quayside' })],
    ['paused the clock', entry('paused')],
    ['went on to: Share-out', entry('segmentBegun', { segment: 'shareOut' })],
  ])('%s', (line, of) => {
    expect(lineOf(of)).toBe(line);
  });
});
