import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../api/client';
import type { Phase } from '../phase';
import { stepOf, toldOf } from './youngSteps';

type Now = Schema['StudentNow'];

const young = { picture: 3, language: 'cy-GB' };
const mate = (id: string, name: string) => ({ id, name, seat: 1, role: '', picture: null });

function now(over: Partial<Now> = {}, way: Schema['WayIn'] = 'press'): Now {
  return {
    id: 'ada',
    name: 'Ada',
    className: '1B',
    lesson: 'lesson',
    lessonTitle: 'Where does the wall go?',
    seq: 1,
    serverNow: 0,
    segment: { kind: 'round', instructions: 'Ble mae’r wal?', endsAt: null },
    round: 'round',
    moments: null,
    group: {
      id: 'group',
      name: 'Quayside',
      number: 1,
      mark: 0,
      members: [mate('ada', 'Ada'), mate('ben', 'Ben')],
      room: { way, name: 'the window table', openers: ['Ben'] },
      copies: [{ id: 'copy', title: 'The sheet', way: 'together' }],
      seat: 1,
      role: '',
      task: '',
      signal: { about: null, place: null, seen: false, mine: false, mark: null, visited: false },
    },
    mainSession: { way: 'press', name: '', openers: [] },
    seenIn: null,
    notices: [],
    signUp: null,
    over: false,
    aside: null,
    fetchedAt: null,
    otherDevice: null,
    alone: [],
    young,
    ...over,
  } as Now;
}

const steps = (of: Now, phase: Phase) => stepOf(of, phase, 0);
const texts = (of: Now, phase: Phase) => toldOf(of, young, phase, steps(of, phase)).map((one) => one.text);

describe('a child who cannot read has one thing to press', () => {
  it('first the way to the group, and there the work', () => {
    expect(steps(now(), 'looking')).toEqual({ kind: 'nothing' });
    expect(steps(now(), 'out')).toEqual({ kind: 'room' });
    expect(steps(now({ seenIn: 'group' }), 'out')).toMatchObject({ kind: 'sheet', id: 'copy' });
    expect(steps(now({}, 'none'), 'out')).toMatchObject({ kind: 'sheet' });
    expect(steps(now({}, 'place'), 'out')).toMatchObject({ kind: 'sheet' });
    expect(steps(now({}, 'wait'), 'out')).toEqual({ kind: 'nothing' });
  });

  it('where the class is together, the way there; and what everybody works on alone goes before it', () => {
    expect(steps(now({ group: null }), 'back')).toEqual({ kind: 'main' });
    expect(steps(now({ group: null, seenIn: 'main' }), 'back')).toEqual({ kind: 'nothing' });
    const alone = [{ id: 'ticket', title: 'Exit ticket', now: true }];
    expect(steps(now({ alone }), 'back')).toMatchObject({ kind: 'sheet', id: 'ticket' });
    expect(steps(now({ alone, over: true }), 'back')).toEqual({ kind: 'nothing' });
  });

  it('and whoever is taken aside goes there', () => {
    const aside = { place: 'main', name: '', from: 0, room: null };
    expect(steps(now({ aside }), 'out')).toEqual({ kind: 'main' });
    expect(steps(now({ aside, seenIn: 'main' }), 'out')).toEqual({ kind: 'nothing' });
  });
});

describe('it is told what to press', () => {
  it('in the words of the page, and the teacher’s own words in the language of the class', () => {
    expect(texts(now(), 'out')).toEqual([
      'Your group is Quayside. Its sign is the wave.',
      'You are with Ben.',
      'Press the big door. It takes you to your group.',
      'Ble mae’r wal?',
      'Press the hand if you need your teacher.',
    ]);
    const told = toldOf(now(), young, 'out', steps(now(), 'out'));
    expect(told.filter((one) => one.lang === 'cy-GB').map((one) => one.text)).toEqual(['Ble mae’r wal?']);
  });

  it('and never to press what is not there', () => {
    for (const phase of ['planned', 'looking', 'out', 'comingBack', 'back'] as const)
      for (const way of ['none', 'place', 'wait', 'open', 'press'] as const)
        for (const seenIn of [null, 'main', 'group'])
          for (const group of [undefined, null]) {
            const of = now({ seenIn, ...(group === null ? { group } : {}) }, way);
            const said = texts(of, phase).join(' ');
            const step = steps(of, phase).kind;
            if (step !== 'sheet') expect(said).not.toContain('pencil');
            if (step !== 'room') expect(said).not.toContain('door');
            if (step === 'room') expect(said).toContain('door');
            if (step === 'main') expect(said).toContain('house');
          }
  });
});
