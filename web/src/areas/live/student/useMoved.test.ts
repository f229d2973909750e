import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Schema, Whole } from '../../../api/client';
import { newBlock } from '../../materials/blocks';
import { slotDrawer } from '../../materials/student/kept';
import { useMoved } from './useMoved';

type Group = Schema['MyGroup'];

const group = (id: string): Group => ({
  id,
  name: id,
  number: 1,
  mark: 0,
  seat: 1,
  role: '',
  task: '',
  signal: { about: null, at: null, seen: false, place: 0, mine: false, mark: null, visited: false },
  members: [],
  room: { way: 'none', name: '', openers: [] },
  copies: [{ id: `copy of ${id}`, title: 'Sheet', way: 'together' }],
});
const copy = (of: string, own: string): Whole<Schema['CopyView']> => ({
  id: `copy of ${of}`,
  groupId: of,
  name: of,
  title: 'Sheet',
  original: 'o',
  studentId: null,
  way: 'together',
  html: [],
  pages: [
    {
      id: 'p',
      title: '',
      blocks: [
        { ...newBlock('text', {}), id: 'read', text: 'Larkmouth floods.' },
        { ...newBlock('each', {}), id: 'each', text: 'What do you see?' },
        { ...newBlock('together', {}), id: 'together', text: 'Our decision' },
      ],
    },
  ],
  notes: [],
  fillers: [],
  locked: false,
  closesAt: null,
  answers: [{ slot: 'each', owner: 'ada', author: 'ada', at: 1, text: own, revision: 1, caret: null, share: 0 }],
});

describe('a student who is moved', () => {
  beforeEach(() => localStorage.clear());
  const page = (sheetOpen: boolean) =>
    renderHook(({ at, sheet }) => useMoved(group(at), [sheet], 'ada', sheetOpen), {
      initialProps: { at: 'quay', sheet: copy('quay', 'The water comes in') },
    });

  it('is told so while the sheet is open, with what they wrote', () => {
    const { result, rerender } = page(true);
    expect(result.current.moved).toBeNull();
    rerender({ at: 'mill', sheet: copy('mill', '') });
    expect(result.current.moved).toEqual({ to: 'mill', texts: ['The water comes in'] });
    act(() => result.current.read());
    expect(result.current.moved).toBeNull();
  });

  it('has what was not saved yet too, of their own and of what was written together', () => {
    const { result, rerender } = page(true);
    slotDrawer('copy of quay', 'each', 'ada').save(
      JSON.stringify({ base: '', text: 'The water comes in here', sending: null }),
    );
    slotDrawer('copy of quay', 'together', 'copy of quay').save(
      JSON.stringify({ base: '', text: 'We think', sending: null }),
    );
    rerender({ at: 'mill', sheet: copy('mill', '') });
    expect(result.current.moved?.texts).toEqual(['The water comes in here', 'We think']);
  });

  it('is told nothing more where the page shows the place anyway', () => {
    const { result, rerender } = page(false);
    rerender({ at: 'mill', sheet: copy('mill', '') });
    expect(result.current.moved).toBeNull();
  });
});
