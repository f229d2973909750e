// Says for screen readers who comes and who goes, once.
import { useEffect, useRef, useState } from 'react';
import * as m from '#messages';
import { list } from '../../../words/list';
import type { Person } from './people';

/** Several who come at once are said in one sentence. Milliseconds. */
const together = 1_000;

export function useComingsAndGoings(people: Person[], isIn: boolean): string {
  const [said, setSaid] = useState('');
  const known = useRef<Map<string, string> | null>(null);
  useEffect(() => {
    if (!isIn) {
      known.current = null;
      return undefined;
    }
    const soon = setTimeout(() => {
      const now = new Map(people.map((one) => [one.id, one.name]));
      const before = known.current;
      known.current = now;
      if (before === null) return; // who was here already stands on the page
      const came = [...now].filter(([id]) => !before.has(id)).map(([, name]) => name);
      const went = [...before].filter(([id]) => !now.has(id)).map(([, name]) => name);
      if (came.length + went.length === 0) return;
      setSaid(
        [
          came.length > 0 ? m.room_came({ n: came.length, names: list(came) }) : '',
          went.length > 0 ? m.room_went({ n: went.length, names: list(went) }) : '',
        ]
          .join(' ')
          .trim(),
      );
    }, together);
    return () => clearTimeout(soon);
  }, [people, isIn]);
  return said;
}
