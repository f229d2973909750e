import { describe, expect, it } from 'vitest';
import { dragWords } from './dragWords';

const names: Record<string, string> = { s1: 'Ada Lund', quay: 'Quayside' };
const said = dragWords((id) => names[String(id)] ?? '');
type Event = Parameters<typeof said.onDragEnd>[0];
const event = (over: string | null) => ({ active: { id: 's1' }, over: over === null ? null : { id: over } }) as Event;

describe('what is heard while dragging', () => {
  it('is said with names', () => {
    expect(said.onDragStart(event(null))).toBe('Picked up Ada Lund.');
    expect(said.onDragOver(event('quay'))).toBe('Ada Lund is over Quayside.');
    expect(said.onDragOver(event(null))).toBe('Not over a group.');
    expect(said.onDragEnd(event('quay'))).toBe('Ada Lund dropped at Quayside.');
    expect(said.onDragEnd(event(null))).toBe('Ada Lund stays where it was.');
  });
});
