// Which files come with a file of the built pages, and which are asked for later.
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

const endings = ['', '.ts', '.tsx', '/index.ts', '/index.tsx'];

function resolved(from: string, name: string): string | null {
  const path = join(dirname(from), name);
  return endings.map((ending) => path + ending).find((file) => /\.tsx?$/.test(file) && existsSync(file)) ?? null;
}

/** What a file of ours asks for: at once, and only later. */
function asksFor(file: string): { now: string[]; later: string[] } {
  const code = readFileSync(file, 'utf8');
  const found = (pattern: RegExp) =>
    [...code.matchAll(pattern)].flatMap(([, name]) => resolved(file, name ?? '') ?? []);
  return {
    now: found(/^(?:import|export)\s(?!type\b)(?:[^'";]*?\sfrom\s)?'(\.[^']+)'/gm),
    later: found(/\bimport\('(\.[^']+)'\)/g),
  };
}

/** All files of ours that come with one, without those it asks for later. O(files). */
export function comesWith(...first: string[]): Set<string> {
  const all = new Set<string>();
  const rest = [...first];
  for (let file = rest.pop(); file !== undefined; file = rest.pop()) {
    if (all.has(file)) continue;
    all.add(file);
    rest.push(...asksFor(file).now);
  }
  return all;
}

/** The files that are asked for later by these. */
export function laterFrom(files: Iterable<string>): Set<string> {
  return new Set([...files].flatMap((file) => asksFor(file).later));
}

/** The sentences these files say, by name. */
export function saidIn(files: Iterable<string>): Set<string> {
  return new Set(
    [...files].flatMap((file) => [...readFileSync(file, 'utf8').matchAll(/\bm\.(\w+)/g)].map(([, name]) => name ?? '')),
  );
}
