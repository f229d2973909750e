import { cleanup, render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schema } from '../../../api/client';
import { NowPage } from './NowPage';

type Now = Schema['StudentNow'];

const group: Schema['MyGroup'] = {
  id: 'g',
  name: 'Quayside',
  number: 1,
  mark: 0,
  members: [
    { id: 'ada', name: 'Ada', seat: 1, role: 'lead' },
    { id: 'ben', name: 'Ben', seat: 2, role: '' },
    { id: 'chi', name: 'Chi', seat: 3, role: '' },
  ],
  room: { way: 'press', name: '', openers: [] },
  copies: [{ id: 'copy', title: 'Sheet', way: 'together' }],
  seat: 1,
  role: 'lead',
  task: 'Rainfall',
  signal: { about: null, at: null, seen: false, place: 0, mine: false, mark: null, visited: false },
};

function now(more: Partial<Now> = {}): Now {
  return {
    id: 'ada',
    name: 'Ada',
    className: '9G',
    lesson: 'l1',
    lessonTitle: 'Where does the wall go?',
    seq: 1,
    serverNow: 0,
    moments: null,
    aside: null,
    fetchedAt: null,
    otherDevice: null,
    alone: [],
    young: null,
    takesIn: false,
    group,
    segment: { kind: 'round', instructions: 'Read the sheet.', endsAt: null },
    round: 'r',
    mainSession: { way: 'press', name: '', openers: [] },
    seenIn: null,
    notices: [],
    signUp: null,
    over: false,
    speaking: { muted: false, given: false, asked: false },
    ...more,
  };
}

function show(state: Now, phase: 'planned' | 'looking' | 'out' | 'comingBack' | 'back') {
  const nothing = () => undefined;
  render(
    <NowPage
      now={state}
      phase={phase}
      serverNow={0}
      onSheet={nothing}
      onLeft={nothing}
      room={false}
      onLook={nothing}
    />,
  );
}

describe('the student’s page', () => {
  it('says that there is no room where the way to one led here', () => {
    window.history.replaceState(null, '', '/student?room=none');
    show(now(), 'out');
    expect(screen.getByText('There is no room for you right now. Wait a moment.')).toBeInTheDocument();
    window.history.replaceState(null, '', '/student');
  });

  it('says number, role and task, and who else has a role', () => {
    show(now({ id: 'ben', name: 'Ben', group: { ...group, seat: 2, role: '', task: 'Heights' } }), 'out');
    expect(screen.getByText('You are number 2')).toBeInTheDocument();
    expect(screen.getByText('Heights')).toBeInTheDocument();
    expect(screen.getByText('Ada').closest('li')).toHaveTextContent('1Adalead');
  });

  it('says to the lead that they lead', () => {
    show(now(), 'looking');
    expect(screen.getByText('You are number 1: lead')).toBeInTheDocument();
    expect(screen.getByText('Rainfall')).toBeInTheDocument();
  });

  it('leads to the room with one large button', () => {
    show(now(), 'out');
    expect(screen.getByRole('link', { name: 'Go to the Quayside room' })).toHaveAttribute('href', '/api/student/room');
  });

  it('says who opens the room, and lets them say that it is open', () => {
    const room: Schema['MyRoom'] = { way: 'wait', name: '', openers: ['Ada'] };
    show(now({ group: { ...group, room } }), 'out');
    expect(screen.getByText('Wait: Ada opens the room.')).toBeInTheDocument();
    expect(screen.queryByRole('link')).not.toBeInTheDocument();
    cleanup();
    show(now({ group: { ...group, room: { ...room, way: 'open' } } }), 'out');
    expect(screen.getByRole('link', { name: 'Open the Quayside room' })).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'It’s open now' })).toBeInTheDocument();
  });

  it('names the place in the building, and the sheet is the thing to do', () => {
    show(now({ group: { ...group, room: { way: 'place', name: 'The window table', openers: [] } } }), 'out');
    expect(screen.getByText('Go to: The window table')).toBeInTheDocument();
    expect(screen.queryByRole('link')).not.toBeInTheDocument();
  });

  it('offers seats while the teacher lets students choose, and nothing else', async () => {
    const tables = [{ id: 't', name: 'Table 1', mark: 0, seats: 4, taken: 1, mine: false }];
    show(now({ group: null, signUp: { tables, closesAt: null } }), 'planned');
    expect(await screen.findByRole('heading', { level: 1 })).toHaveTextContent('Choose a seat');
    expect(screen.queryByRole('link')).toBeNull();
  });

  it('has no seats to offer once groups are out', () => {
    const tables = [{ id: 't', name: 'Table 1', mark: 0, seats: 4, taken: 1, mine: false }];
    show(now({ signUp: { tables, closesAt: null } }), 'out');
    expect(screen.queryByText('Choose a seat')).toBeNull();
  });

  it('says to wait where nobody has given a seat yet', () => {
    show(now({ group: null }), 'out');
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Your teacher is finding you a group');
  });

  it('leads back, with the word about microphones', () => {
    show(now(), 'back');
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Go back to the main session.');
    expect(screen.getByText('Turn your microphone off when you’re back.')).toBeInTheDocument();
    show(now({ seenIn: 'main' }), 'back');
    expect(screen.getByText('You’re back. Well done.')).toBeInTheDocument();
  });

  it('says what the class is at where it is not in groups', () => {
    show(now({ segment: { kind: 'alone', instructions: 'Write one sentence.', endsAt: 0 } }), 'back');
    expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Work on your own now.');
    expect(screen.getByText('Write one sentence.')).toBeInTheDocument();
    expect(screen.getByText(/^until/)).toBeInTheDocument();
    expect(screen.queryByText('Go back to the main session.')).toBeNull();
    expect(screen.getByRole('button', { name: 'See our worksheet' })).toBeInTheDocument();
  });
});
