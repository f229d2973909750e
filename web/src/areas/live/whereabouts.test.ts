import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { awayText, expected, missing, noteOf } from './whereabouts';

type Student = Schema['SeatedStudent'];
const student = (id: string, place: Student['place'], more: Partial<Student> = {}): Student =>
  ({ id, name: id, absent: place === 'excused', place, because: 'page', at: null, ...more }) as Student;
const lesson = (students: Student[], seated: string[] = []) =>
  ({
    endedAt: null,
    students,
    floor: { groups: [{ id: 'q', name: 'Quayside', students: seated }] },
    rooms: [{ id: 'side', name: 'The quiet corner' }],
  }) as unknown as Schema['LessonView'];

describe('where a student is, in words', () => {
  const note = (one: Student) => noteOf(lesson([one]), one);

  it('needs no reason where nothing is wrong', () => {
    expect(note(student('ada', 'inPlace', { at: 'q' }))).toBe('in place');
    expect(note(student('ada', 'excused'))).toBe('absent');
  });

  it('says of a lesson that is over who was there, and nothing of now', () => {
    const over = (one: Student) => noteOf({ ...lesson([one]), endedAt: 1 }, one);
    expect(over(student('ada', 'inPlace', { because: 'record' }))).toBe('was there');
    expect(over(student('ada', 'lost', { because: 'never' }))).toBe('was not there');
    expect(over(student('ada', 'excused'))).toBe('absent');
  });

  it('says where somebody was seen who is elsewhere', () => {
    expect(note(student('ada', 'elsewhere', { at: 'q' }))).toBe('elsewhere: in Quayside');
    expect(note(student('ada', 'leftBehind', { at: 'main' }))).toBe('left behind: in the main session');
    expect(note(student('ada', 'elsewhere', { at: 'gone' }))).toBe('elsewhere: in another room');
  });

  it('says how it is known that somebody is lost', () => {
    expect(note(student('ada', 'lost', { because: 'silent' }))).toBe('lost: no contact for a while');
    expect(note(student('ada', 'onTheWay', { because: 'link' }))).toBe('on the way: pressed the button');
  });

  it('who has not come today is not lost', () => {
    expect(note(student('ada', 'lost', { because: 'never' }))).toBe('not arrived');
  });
});

describe('who counts', () => {
  const all = [student('ada', 'inPlace'), student('ben', 'lost'), student('chi', 'excused'), student('dov', 'lost')];

  it('everybody who is not absent, and while groups are out everybody with a seat', () => {
    const ids = (out: boolean) => expected(lesson(all, ['ada', 'ben', 'chi']), out).map((one) => one.id);
    expect(ids(false)).toEqual(['ada', 'ben', 'dov']);
    expect(ids(true)).toEqual(['ada', 'ben']);
  });

  it('the most pressing are named first', () => {
    const some = [
      student('absent', 'excused'),
      student('never', 'lost', { because: 'never' }),
      student('walking', 'onTheWay'),
      student('there', 'inPlace'),
      student('wrong', 'elsewhere'),
      student('lost', 'lost', { because: 'silent' }),
    ];
    expect(missing(some).map((one) => one.id)).toEqual(['lost', 'wrong', 'walking', 'never', 'absent']);
  });
});

describe('what stands under a name of somebody who is not at their table', () => {
  it.each([
    ['→ The quiet corner', { aside: 'side' }],
    ['→ main session', { aside: 'main' }],
    ['in Quayside', { at: 'q' }],
    ['in main session', { at: 'main' }],
  ] as const)('%s', (text, more) => {
    const ada = student('ada', 'elsewhere', { aside: null, ...more });
    expect(awayText(lesson([ada]), ada)).toBe(text);
  });
  it('is nothing at their table', () => {
    const ada = student('ada', 'inPlace', { aside: null, at: 'q' });
    expect(awayText(lesson([ada]), ada)).toBe('');
  });
});
