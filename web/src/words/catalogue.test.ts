import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import * as messages from '#messages';
import catalogue from '../../messages/en.json';

interface Tree {
  [key: string]: string | Tree;
}
const flatten = (tree: Tree, before = ''): [string, string][] =>
  Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'string' ? [[before + key, value] as [string, string]] : flatten(value, `${before}${key}_`),
  );

/** The values to try a message with: each number with 0, 1, 2 and 7, each choice with every option, texts with “X”. */
function samples(text: string): Record<string, string | number>[] {
  const values = new Map<string, Set<string | number>>();
  const visit = (nodes: MessageFormatElement[]) => {
    for (const node of nodes) {
      if (node.type === TYPE.plural) values.set(node.value, new Set([0, 1, 2, 7]));
      else if (node.type === TYPE.select) {
        const options = values.get(node.value) ?? new Set();
        Object.keys(node.options).forEach((option) => options.add(option));
        values.set(node.value, options);
      } else if (node.type === TYPE.argument && !values.has(node.value)) values.set(node.value, new Set(['X']));
      if (node.type === TYPE.plural || node.type === TYPE.select)
        Object.values(node.options).forEach((option) => visit(option.value));
    }
  };
  visit(parse(text));
  return [...values].reduce<Record<string, string | number>[]>(
    (all, [name, options]) => all.flatMap((one) => [...options].map((value) => ({ ...one, [name]: value }))),
    [{}],
  );
}

const say = messages as unknown as Record<string, (inputs: Record<string, string | number>) => string>;
const sentences = flatten(catalogue).map(([id, text]) => ({
  id,
  said: samples(text).map((inputs) => say[id]?.(inputs) ?? `${id} isn’t compiled`),
}));
const many =
  'students|groups|rooms|copies|seats|tables|minutes|seconds|parts|rounds|goals|rules|lessons|pages|names|answers|notes|changes|emails|pictures|worksheets';

describe('the sentences of the pages', () => {
  it('are compiled, every one', () => {
    expect(sentences.length).toBeGreaterThan(1000);
    expect(sentences.filter(({ said }) => said.some((text) => / isn’t compiled$|undefined|_/.test(text)))).toEqual([]);
  });

  it('are each used by a page', () => {
    const folder = join(import.meta.dirname, '..');
    const code = readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|^messages/.test(file))
      .map((file) => readFileSync(join(folder, file), 'utf8'))
      .join('\n');
    const used = new Set([...code.matchAll(/\bm\.(\w+)/g)].map(([, id]) => id));
    expect(sentences.map(({ id }) => id).filter((id) => !used.has(id))).toEqual([]);
  });

  it('say “1 student” and “2 students”', () => {
    const wrong = new RegExp(
      `\\b1 (${many})\\b|\\b1 (student|group|room|copy|seat|pair) (stay|are|have|were|sit|come|go|work)\\b`,
    );
    expect(
      sentences.flatMap(({ id, said }) => said.filter((text) => wrong.test(text)).map((text) => [id, text])),
    ).toEqual([]);
  });

  it('count nothing where there is nothing', () => {
    const wrong = /(^|[ ,])0 (added|updated|failed|copied)\b/;
    expect(
      sentences.flatMap(({ id, said }) => said.filter((text) => wrong.test(text)).map((text) => [id, text])),
    ).toEqual([]);
  });

  it('use the words on screen, never the words in the code', () => {
    const wrong = new RegExp(
      `\\b(${
        'cupboard|shelf|door ?word|at the door|variants? lies|grouping|original|the floor|this floor|desk|chalk|signs|' +
        'segment|slot|hand out plan|oops|successfully|somebody|everybody'
      })\\b`,
      'i',
    );
    expect(
      sentences.flatMap(({ id, said }) => said.filter((text) => wrong.test(text)).map((text) => [id, text])),
    ).toEqual([]);
  });

  it('are set as print is: curly quotes, and one sign for three dots', () => {
    expect(
      sentences.flatMap(({ id, said }) => said.filter((text) => /['"]|\.\.\./.test(text)).map((text) => [id, text])),
    ).toEqual([]);
  });
});
