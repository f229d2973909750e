import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { sourceOf, sources } from './sources';

type Case = { kind: Parameters<typeof sourceOf>[0] } & ReturnType<typeof sourceOf>;

const file = resolve(import.meta.dirname, '../../../../core/tests/Rooms/sources.json');
const cases = JSON.parse(readFileSync(file, 'utf8')) as Case[];

describe('where rooms come from', () => {
  it.each(cases)('$kind is what the server takes it for', ({ kind, ...traits }) => {
    expect(sourceOf(kind)).toEqual(traits);
  });

  it('can all be chosen', () => {
    expect(sources.map(({ value }) => value).sort()).toEqual(cases.map(({ kind }) => kind).sort());
  });
});
