// Pressing while a room is on its way: what was pressed last is what the others hear.
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Message } from './janus';
import { RoomStay } from './roomStay';

interface Told {
  request: string;
  room?: string;
  descriptions?: { description: string }[];
  /** Whether the microphone sent anything at that moment. */
  isOn?: boolean | undefined;
}

const server = vi.hoisted(() => {
  const told: Told[] = [];
  const letIn: (() => void)[] = [];
  const remove: (() => void)[] = [];
  return { told, letIn, remove };
});
/** The room says yes to all who wait. */
const letIn = () => {
  for (const yes of server.letIn.splice(0)) yes();
};

vi.mock('./janus', () => ({
  Line: {
    open: () =>
      Promise.resolve({
        attach: ({ onMessage }: { onMessage: (message: Message) => void }) => {
          let sent: MediaStreamTrack | undefined;
          return Promise.resolve({
            webrtcStuff: {
              pc: {
                getTransceivers: () =>
                  sent === undefined
                    ? []
                    : [
                        {
                          mid: '0',
                          sender: { track: sent, replaceTrack: (track: MediaStreamTrack) => (sent = track) },
                        },
                      ],
              },
            },
            createOffer: ({
              tracks,
              success,
            }: {
              tracks: { capture: MediaStreamTrack }[];
              success: (jsep: object) => void;
            }) => {
              sent = tracks[0]?.capture;
              setTimeout(() => success({}), 5);
            },
            handleRemoteJsep: () => undefined,
            send: ({ message }: { message: Told }) => {
              server.told.push({ ...message, isOn: sent?.enabled });
              if (message.request !== 'join') return;
              server.letIn.push(() => onMessage({ videoroom: 'joined' }));
              server.remove.push(() => onMessage({ videoroom: 'event', leaving: 'ok', reason: 'kicked' }));
            },
          });
        },
        close: () => undefined,
      }),
  },
}));

class Track extends EventTarget {
  enabled = true;
  readonly isEnded = { now: false };
  stop() {
    this.isEnded.now = true;
  }
  clone() {
    return new Track();
  }
}

const opened: Track[] = [];
let allow: (() => void)[] = [];

const ticket = (place: string) => ({
  address: '/media/x',
  room: `room of ${place}`,
  token: 't',
  me: 'ada',
  place,
  share: false,
  recorded: false,
  voice: null,
  relay: null,
});
const moment = () => new Promise((done) => setTimeout(done, 20));
const heard = () => {
  const last = server.told.filter(({ request }) => request === 'configure').at(-1);
  const [said] = last?.descriptions ?? [];
  return said === undefined ? 'nothing' : `${said.description}, ${last?.isOn === true ? 'sounding' : 'silent'}`;
};

beforeEach(() => {
  server.told.length = 0;
  server.letIn.length = 0;
  opened.length = 0;
  allow = [];
  vi.stubGlobal('navigator', {
    mediaDevices: {
      getUserMedia: () =>
        new Promise((resolve) => {
          allow.push(() => {
            const track = new Track();
            opened.push(track);
            resolve({ getAudioTracks: () => [track] });
          });
        }),
    },
  });
});

const allowed = async () => {
  for (const yes of allow.splice(0)) yes();
  await moment();
};

async function joined(microphone: 'on' | 'none', place = 'one') {
  const stay = new RoomStay((there) => Promise.resolve(ticket(there)));
  stay.follow(place, false);
  const join = stay.join(microphone);
  await allowed();
  await join;
  await moment();
  return stay;
}

describe('a microphone while a room is on its way', () => {
  it('is heard when it was switched on before anybody was let in', async () => {
    const stay = await joined('none');
    void stay.setMicrophone(true);
    await allowed();
    expect(heard()).toBe('nothing');
    letIn();
    await moment();
    expect(heard()).toBe('on, sounding');
    expect(stay.snapshot().isMicrophoneOn).toBe(true);
  });

  it('is silent when it was switched off before anybody was let in', async () => {
    const stay = await joined('on');
    await stay.setMicrophone(false);
    letIn();
    await moment();
    expect(heard()).toBe('muted, silent');
  });

  it('is as it was switched last, however fast', async () => {
    const stay = await joined('on');
    letIn();
    await stay.setMicrophone(false);
    await stay.setMicrophone(true);
    await stay.setMicrophone(false);
    await moment();
    expect(heard()).toBe('muted, silent');
  });

  it('stays closed when the class was called back while somebody was asked to allow it', async () => {
    const stay = await joined('none');
    letIn();
    await moment();
    void stay.setMicrophone(true);
    stay.follow('main', true);
    await allowed();
    letIn();
    await moment();
    expect(heard()).toBe('nothing');
    expect(opened.map(({ isEnded }) => isEnded.now)).toEqual([true]);
    expect(stay.snapshot().isMicrophoneOn).toBe(false);
  });

  it('goes along to the next room as it is', async () => {
    const stay = await joined('on');
    letIn();
    await stay.setMicrophone(false);
    await moment();
    stay.follow('two', false);
    await moment();
    letIn();
    await moment();
    expect(server.told.filter(({ request }) => request === 'join').at(-1)?.room).toBe('room of two');
    expect(heard()).toBe('muted, silent');
  });

  it('that was pulled out is said to be off, and another one takes its place', async () => {
    const stay = await joined('on');
    letIn();
    await moment();
    opened[0]?.dispatchEvent(new Event('ended'));
    await moment();
    expect(heard()).toBe('muted, silent');
    expect(stay.snapshot().problem).toBe('none');
    void stay.setMicrophone(true);
    await allowed();
    expect(heard()).toBe('on, sounding');
    expect(stay.snapshot().problem).toBeNull();
  });
});

describe('being taken in', () => {
  const rooms = () => server.told.filter(({ request }) => request === 'join').map(({ room }) => room);
  const arrives = async (stay: RoomStay, place: string) => {
    stay.follow(place, place === 'main');
    stay.takeIn();
    await moment();
    letIn();
    await moment();
  };

  it('is going in without a press, with no microphone opened', async () => {
    const stay = new RoomStay((there) => Promise.resolve(ticket(there)));
    await arrives(stay, 'one');
    expect(rooms()).toEqual(['room of one']);
    expect(stay.snapshot()).toMatchObject({ isJoined: true, isMicrophoneOn: false });
    expect(opened).toEqual([]);
  });

  it('is not for whoever has left that room by a press, and again where they go next', async () => {
    const stay = new RoomStay((there) => Promise.resolve(ticket(there)));
    await arrives(stay, 'one');
    stay.leave();
    await arrives(stay, 'one');
    expect(rooms()).toEqual(['room of one']);
    await arrives(stay, 'main');
    expect(rooms()).toEqual(['room of one', 'room of main']);
  });

  it('goes nowhere while there is no place to go', async () => {
    const stay = new RoomStay((there) => Promise.resolve(ticket(there)));
    stay.takeIn();
    await moment();
    expect(server.told).toEqual([]);
    expect(stay.snapshot().isJoined).toBe(false);
  });
});

it('goes back in after it was removed by mistake, and stays out where another page of theirs is in', async () => {
  const stays = [false, true].map((isSeen) => {
    const stay = new RoomStay(
      (there) => Promise.resolve(ticket(there)),
      () => undefined,
      () => isSeen,
    );
    stay.follow('one', false);
    void stay.join('none');
    return stay;
  });
  await moment();
  letIn();
  await moment();
  for (const removed of server.remove.splice(0)) removed();
  await vi.waitFor(() => expect(server.letIn).toHaveLength(1), { timeout: 8_000 });
  letIn();
  await moment();
  expect(stays.map((stay) => stay.snapshot().problem)).toEqual([null, 'elsewhere']);
  expect(stays.map((stay) => stay.snapshot().call?.phase)).toEqual(['in', undefined]);
  for (const stay of stays) stay.leave();
}, 15_000);

describe('going a moment too early', () => {
  it('is asking again until the server says it is time, and entering no other room', async () => {
    let serversPlace = 'main';
    let asked = 0;
    const stay = new RoomStay(() => {
      asked++;
      return Promise.resolve(ticket(serversPlace));
    });
    stay.follow('one', false);
    await stay.join('none');
    await moment();
    expect(asked).toBe(1);
    expect(server.told).toEqual([]);
    serversPlace = 'one';
    await vi.waitFor(() => expect(server.letIn).toHaveLength(1), { timeout: 5_000 });
    letIn();
    await moment();
    expect(server.told.map(({ room }) => room).filter(Boolean)).toEqual(['room of one']);
    stay.leave();
  });
});

describe('joining', () => {
  it('is off when somebody has left while the microphone was asked for', async () => {
    const stay = new RoomStay((there) => Promise.resolve(ticket(there)));
    stay.follow('one', false);
    const join = stay.join('on');
    stay.leave();
    await allowed();
    await join;
    await moment();
    expect(server.told).toEqual([]);
    expect(stay.snapshot().isJoined).toBe(false);
    expect(opened.map(({ isEnded }) => isEnded.now)).toEqual([true]);
  });
});
