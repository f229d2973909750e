import type { Schema } from '../../../api/client';
import { markOf } from '../../../ui/marks';
import type { Said } from '../../../ui/speech';
import { young as words } from '../../../words/young';
import type { Phase } from '../phase';

type Now = Schema['StudentNow'];

/** The one thing a student can press now. */
export type Step = { kind: 'room' | 'main' | 'nothing' } | { kind: 'sheet'; id: string; title: string };

const nothing: Step = { kind: 'nothing' };

/** @returns what there is to press: first the way to where the student should be, and there the work */
export function stepOf(now: Now, phase: Phase, serverNow: number): Step {
  const { group, aside, mainSession } = now;
  const out = phase === 'out';
  if (phase === 'looking' || phase === 'comingBack' || now.over) return nothing;
  if (out && aside !== null && aside.from <= serverNow) {
    const way = aside.room?.way ?? mainSession.way;
    if (way !== 'press' || now.seenIn === aside.place) return nothing;
    return { kind: aside.place === 'main' ? 'main' : 'room' };
  }
  if (out && group !== null) {
    const { way } = group.room;
    const goes = (way === 'press' || way === 'open') && now.seenIn !== group.id;
    const [sheet] = group.copies;
    if (goes) return { kind: 'room' };
    if (way === 'wait' || sheet === undefined) return nothing;
    return { kind: 'sheet', id: sheet.id, title: sheet.title };
  }
  const alone = now.alone.find((one) => one.now);
  if (alone !== undefined) return { kind: 'sheet', id: alone.id, title: alone.title };
  if (!out && now.lesson !== null && mainSession.way === 'press' && now.seenIn !== 'main') return { kind: 'main' };
  return nothing;
}

/** What the page says, in this order: its own words in their language, the teacher's in the class's. */
export function toldOf(now: Now, young: Schema['Young'], phase: Phase, step: Step): Said[] {
  const own = (text: string): Said => ({ text, lang: words.lang });
  const teachers = (text: string): Said[] => (text.trim() === '' ? [] : [{ text, lang: young.language }]);
  const { group, segment, aside } = now;
  if (now.over) return [own(words.over)];
  if (now.lesson === null) return [own(words.hello(now.name)), own(words.noLesson)];
  if (phase === 'planned' || phase === 'back') {
    const at = segment === null || segment.kind === 'round' ? null : segment.kind;
    const where = at !== null ? words.at[at] : phase === 'back' ? '' : words.soon;
    return [
      ...(phase === 'planned' && at === null ? [own(words.hello(now.name))] : []),
      ...(step.kind === 'main' ? [own(words.back)] : phase === 'back' && at === null ? [own(words.backHere)] : []),
      ...(where === '' ? [] : [own(where)]),
      ...(at === null ? [] : teachers(segment?.instructions ?? '')),
      ...(step.kind === 'sheet' ? [own(words.sheet)] : []),
    ];
  }
  if (phase === 'comingBack') return [own(words.finish)];
  if (aside !== null && phase === 'out' && step.kind !== 'sheet')
    return [own(words.aside(aside.place === 'main' ? '' : aside.name))];
  if (group === null) return [own(words.noSeat)];
  const whose = [
    own(words.group(markOf(group.mark).sign, group.name)),
    own(words.mates(group.members.filter((mate) => mate.id !== now.id).map((mate) => mate.name))),
  ];
  if (phase === 'looking') return [...whose, own(words.look)];
  const { way, name, openers } = group.room;
  const there = {
    none: words.sit,
    place: words.place(name),
    wait: words.wait(openers),
    open: step.kind === 'room' ? words.openRoom : '',
    press: step.kind === 'room' ? words.goRoom : '',
  }[way];
  return [
    ...whose,
    ...(there === '' ? [] : [own(there)]),
    ...teachers(segment?.instructions ?? ''),
    ...(step.kind === 'sheet' ? [own(words.sheet)] : []),
    own(group.signal.about == null ? words.help : words.called),
  ];
}
