import { describe, expect, it } from 'vitest';
import type { Schema } from '../../api/client';
import { pasted } from './Pasting';

const lesson = {
  title: 'Flood',
  doorWord: 'amber otter',
  students: [
    { id: 'a', name: 'Ada', absent: false },
    { id: 'b', name: 'Ben', absent: true },
    { id: 'c', name: 'Chi', absent: false },
  ],
  floor: {
    groups: [
      { id: '1', name: 'Quayside', students: ['a', 'b', 'c'] },
      { id: '2', name: 'Millbrook', students: ['b'] },
    ],
  },
} as unknown as Schema['LessonView'];

describe('text to paste', () => {
  it('says who is with whom, without who is absent, and then where to go', () => {
    const text = pasted(lesson, 'https://huddle.example');
    expect(text.groups.split('\n')).toEqual(['Groups for “Flood”', 'Quayside: Ada and Chi', 'Millbrook: nobody yet']);
    expect(text.way).toContain('https://huddle.example/student');
    expect(text.way).toContain('amber otter');
    expect(text.way).not.toContain('Ada');
  });
});
