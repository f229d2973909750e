// The one thing to press, for children who can’t read yet.
import type { Schema } from '../../../api/client';
import { markOf } from '../../../ui/signs/marks';
import type { Said } from '../../../ui/speech';
import * as m from '#messages';
import { list } from '../../../words/list';
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
  const own = (text: string): Said => ({ text, lang: m.young_lang() });
  const teachers = (text: string): Said[] => (text.trim() === '' ? [] : [{ text, lang: young.language }]);
  const { group, segment, aside } = now;
  if (now.over) return [own(m.young_over())];
  if (now.lesson === null) return [own(m.young_hello({ name: now.name })), own(m.young_noLesson())];
  if (phase === 'planned' || phase === 'back') {
    const at = segment === null || segment.kind === 'round' ? null : segment.kind;
    const where = at !== null ? m.young_at({ key: at }) : phase === 'back' ? '' : m.young_soon();
    return [
      ...(phase === 'planned' && at === null ? [own(m.young_hello({ name: now.name }))] : []),
      ...(step.kind === 'main'
        ? [own(m.young_back())]
        : phase === 'back' && at === null
          ? [own(m.young_backHere())]
          : []),
      ...(where === '' ? [] : [own(where)]),
      ...(at === null ? [] : teachers(segment?.instructions ?? '')),
      ...(step.kind === 'sheet' ? [own(m.young_sheet())] : []),
    ];
  }
  if (phase === 'comingBack') return [own(m.young_finish())];
  if (aside !== null && phase === 'out' && step.kind !== 'sheet')
    return [own(m.young_aside({ where: aside.place === 'main' ? 'main' : 'room', name: aside.name }))];
  if (group === null) return [own(m.young_noSeat())];
  const whose = [
    own(m.young_group({ sign: markOf(group.mark).sign, name: group.name })),
    own(m.young_mates({ names: list(group.members.filter((mate) => mate.id !== now.id).map((mate) => mate.name)) })),
  ];
  if (phase === 'looking') return [...whose, own(m.young_look())];
  const { way, name, openers } = group.room;
  const there = {
    none: m.young_sit(),
    place: m.young_place({ name }),
    wait: m.young_wait({ names: list(openers) }),
    open: step.kind === 'room' ? m.young_openRoom() : '',
    here: m.young_goHere(),
    press: step.kind === 'room' ? m.young_goRoom() : '',
  }[way];
  return [
    ...whose,
    ...(there === '' ? [] : [own(there)]),
    ...teachers(segment?.instructions ?? ''),
    ...(step.kind === 'sheet' ? [own(m.young_sheet())] : []),
    own(group.signal.about == null ? m.young_help() : m.young_called()),
  ];
}
