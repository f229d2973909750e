import { useEffect, useRef } from 'react';
import type { Schema } from '../../../api/client';
import * as m from '#messages';
import { list } from '../../../words/list';
import { blocksOf, type Copy } from '../blocks';
import { changeInWords } from './changeInWords';

/** Told once somebody has paused for so long, or at the latest after so long. Milliseconds. */
const pause = 2_000;
const longest = 8_000;
const most = 4;

interface Told {
  text: string;
  /** Since when something has not been told. */
  since: number | null;
  timer?: ReturnType<typeof setTimeout>;
}

/** Says what others change to somebody who listens to the page; nothing of it is to be seen. */
export default function Heard({
  copy,
  me,
  members,
}: {
  copy: Copy;
  me: string;
  members: Pick<Schema['Mate'], 'id' | 'name'>[];
}) {
  const told = useRef<Map<string, Told> | null>(null);
  const region = useRef<HTMLParagraphElement>(null);
  useEffect(() => {
    const places = told.current;
    if (places === null) {
      told.current = new Map(
        copy.answers.map((answer) => [`${answer.slot}.${answer.owner}`, { text: answer.text, since: null }]),
      );
      return;
    }
    for (const answer of copy.answers) {
      const key = `${answer.slot}.${answer.owner}`;
      const place = places.get(key) ?? { text: '', since: null };
      places.set(key, place);
      if (answer.author === me && place.since === null) place.text = answer.text;
      if (answer.author === me || answer.text === place.text) continue;
      const block = blocksOf(copy.pages).find((one) => one.id === answer.slot);
      const name = members.find((mate) => mate.id === answer.author)?.name ?? m.student_copy_somebody();
      place.since ??= Date.now();
      clearTimeout(place.timer);
      place.timer = setTimeout(
        () => {
          const what = block === undefined ? [] : changeInWords(block, place.text, answer.text);
          place.text = answer.text;
          place.since = null;
          if (what.length === 0 || block === undefined || region.current === null) return;
          const shown = what.length > most ? [...what.slice(0, most), m.heard_more({ n: what.length - most })] : what;
          region.current.textContent = m.heard_who({ name, place: block.text, what: list(shown) });
        },
        Math.max(0, Math.min(pause, place.since + longest - Date.now())),
      );
    }
  }, [copy, me, members]);
  useEffect(
    () => () => {
      for (const place of told.current?.values() ?? []) clearTimeout(place.timer);
    },
    [],
  );
  return <p ref={region} role="status" className="sr-only" />;
}
