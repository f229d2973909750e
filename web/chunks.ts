// Which modules go into one file of the built pages.
import { join } from 'node:path';
import { comesWith, laterFrom, saidIn } from './reach';

interface Group {
  name: string;
  test: (id: string) => boolean;
  includeDependenciesRecursively: boolean;
}

const anyOf =
  (...patterns: RegExp[]) =>
  (id: string) =>
    patterns.some((pattern) => pattern.test(id));

/**
 * Joins modules that are always loaded together: on a slow connection many small files cost more than their size. No
 * page loads code that only another page needs.
 *
 * @param src the folder of our code
 */
export function groups(src: string): Group[] {
  const at = (path: string) => join(src, path);
  const students = comesWith(at('student.tsx'));
  const door = comesWith(at('index.ts'), at('door.tsx'));
  const anybodys = new Set([...students, ...door, ...comesWith(...laterFrom(students))]);
  const teachers = comesWith(at('staff.tsx'));
  const lessons = comesWith(at('areas/live/LessonPage.tsx'));
  const otherPages = comesWith(...[...laterFrom(teachers)].filter((file) => !lessons.has(file)));
  const first = new Set([...teachers, ...anybodys]);

  /** Ours, or a sentence: in all of these and in none of those. */
  const lies = (within: Set<string>[], without: Set<string> = new Set()) => {
    const said = within.map(saidIn);
    const not = saidIn(without);
    return (id: string) => {
      const sentence = /src[\\/]messages[\\/]\w+[\\/](\w+)\.js$/.exec(id)?.[1];
      return sentence === undefined
        ? within.every((files) => files.has(id)) && !without.has(id)
        : said.every((names) => names.has(sentence)) && !not.has(sentence);
    };
  };
  const react = /node_modules[\\/](react|react-dom|scheduler)[\\/]/;
  const onlyTeachers = lies([teachers], new Set([...anybodys, at('staff.tsx')]));
  const onTheFloor = lies([lessons, otherPages], first);
  const both = anyOf(
    /core[\\/]data[\\/]marks\.json/,
    /src[\\/]ui[\\/](signs[\\/](Sign|marks|Duration)|roomWindow|later[\\/]lazily)\./,
    /src[\\/]api[\\/]stream[\\/](stream|sharedStream)\./,
    /src[\\/]areas[\\/]materials[\\/](answers|media|blocks)\./,
  );
  const forAll = lies([students, door]);
  const anyPage = anyOf(
    /openapi-fetch|node_modules[\\/]clsx|preload-helper|rolldown[\\/]runtime/,
    /helpers[\\/](esm[\\/])?(defineProperty|toPropertyKey|toPrimitive|typeof)/,
    /src[\\/]styles\.css/,
  );
  const laterQueries = /@tanstack[\\/].*(useMutation|mutationObserver|queryOptions)/;
  const privates = /helpers[\\/](esm[\\/])?(classPrivate|checkPrivate|assertClass)/;

  const together = (name: string, test: (id: string) => boolean): Group => ({
    name,
    test,
    includeDependenciesRecursively: false,
  });
  return [
    // By itself, so that a page can ask for it before it knows what else it needs (prerender.mjs).
    { ...together('react', (id) => react.test(id)), includeDependenciesRecursively: true },
    // What a student's page and the teacher's lesson both need.
    together('both', (id) => both(id)),
    together('base', (id) => forAll(id) || anyPage(id)),
    // What the sign-in and a teacher's first page both need.
    together('account', lies([door, teachers], students)),
    together('teacher', (id) => onlyTeachers(id) || privates.test(id)),
    // A lesson, the desk, the seating plan.
    together('floor', (id) => onTheFloor(id) || laterQueries.test(id)),
  ];
}
