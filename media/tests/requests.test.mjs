// What a page may ask of the media server, and what it may not.
import { beforeEach, describe, expect, it } from 'vitest';
import { readParticipant } from '../participant.mjs';
import { plugin, Requests } from '../requests.mjs';
import { sessionToken } from '../token.mjs';

const ada = { id: '0a1b2c3d-0000-4000-8000-00000000000a', name: 'Ada' };

/** A connection with a session and a handle. */
function opened() {
  const requests = new Requests(ada, () => 'signed');
  requests.fromPage({ janus: 'create', transaction: 'create' });
  requests.fromServer({ janus: 'success', transaction: 'create', data: { id: 11 } });
  requests.fromPage({ janus: 'attach', transaction: 'attach', session_id: 11, plugin });
  requests.fromServer({ janus: 'success', transaction: 'attach', data: { id: 22 } });
  return requests;
}

const onHandle = (body, more = {}) => ({
  janus: 'message',
  transaction: 'message',
  session_id: 11,
  handle_id: 22,
  body,
  ...more,
});

let requests;
beforeEach(() => {
  requests = opened();
});

describe('a page', () => {
  it('joins as who its address says it is, whatever it says itself', () => {
    const onward = requests.fromPage(
      onHandle({
        request: 'join',
        ptype: 'publisher',
        room: 'o1',
        token: 't',
        id: 'somebody-else',
        display: 'Teacher',
      }),
    );
    expect(onward.body).toEqual({
      request: 'join',
      ptype: 'publisher',
      room: 'o1',
      token: 't',
      id: ada.id,
      display: 'Ada',
    });
  });

  it('sends nothing into a room where its token only lets it listen', () => {
    const offer = { jsep: { type: 'offer', sdp: 'v=0' } };
    const join = (token) =>
      requests.fromPage(onHandle({ request: 'join', ptype: 'publisher', room: 'o1', ...(token && { token }) }));
    expect(requests.fromPage(onHandle({ request: 'configure' }, offer))).not.toBeNull();
    for (const token of [`${ada.id}.listens.aa`, `${ada.id}.aa`, '']) {
      requests = opened();
      expect(join(token)).not.toBeNull();
      expect(requests.fromPage(onHandle({ request: 'configure' }, offer))).toBeNull();
    }
    requests = opened();
    join(`${ada.id}.speaks.aa`);
    expect(requests.fromPage(onHandle({ request: 'configure' }, offer))).not.toBeNull();
  });

  it('shows no screen in a room where its token lets it only speak, whatever other tokens it tries', () => {
    const join = (right) =>
      requests.fromPage(
        onHandle({ request: 'join', ptype: 'publisher', room: 'o1', token: `${ada.id}.${right}.aa` }),
      );
    const shows = (description) =>
      requests.fromPage(onHandle({ request: 'configure', descriptions: [{ mid: '1', description }] })) !== null;
    join('shares');
    expect([shows('camera'), shows('screen')]).toEqual([true, true]);
    for (const [first, then] of [
      ['speaks', 'shares'],
      ['shares', 'speaks'],
    ]) {
      requests = opened();
      join(first);
      join(then);
      expect([shows('camera'), shows('screen')]).toEqual([true, false]);
    }
  });

  it('is given the token of a session by the gate, and its own is dropped', () => {
    expect(requests.fromPage(onHandle({ request: 'start' }, { token: 'mine', apisecret: 'x' }))).toEqual({
      janus: 'message',
      transaction: 'message',
      token: 'signed',
      session_id: 11,
      handle_id: 22,
      body: { request: 'start' },
    });
  });

  it('has one session', () => {
    expect(requests.fromPage({ janus: 'create', transaction: 'again' })).toBeNull();
  });

  it('has a few handles and no more', () => {
    const all = Array.from({ length: 20 }, (_, i) =>
      requests.fromPage({ janus: 'attach', transaction: `attach-${i}`, session_id: 11, plugin }),
    );
    expect(all.filter((one) => one !== null)).toHaveLength(5);
  });

  it('says nothing with somebody else’s session or handle', () => {
    expect(requests.fromPage({ ...onHandle({ request: 'start' }), session_id: 12 })).toBeNull();
    expect(requests.fromPage({ ...onHandle({ request: 'start' }), handle_id: 23 })).toBeNull();
    expect(requests.fromPage({ janus: 'claim', transaction: 'claim', session_id: 12 })).toBeNull();
    expect(requests.fromPage({ janus: 'destroy', transaction: 'destroy', session_id: 12 })).toBeNull();
  });

  it('does not attach another plugin', () => {
    for (const other of ['janus.plugin.audiobridge', 'janus.plugin.streaming', '', null, 7])
      expect(requests.fromPage({ janus: 'attach', transaction: 'attach', session_id: 11, plugin: other })).toBeNull();
  });

  it.each([
    'create',
    'destroy',
    'edit',
    'list',
    'exists',
    'allowed',
    'kick',
    'moderate',
    'listparticipants',
    'listforwarders',
    'rtp_forward',
    'stop_rtp_forward',
    'enable_recording',
    'constructor',
    '__proto__',
    'joinandconfigure',
    'switch',
    'update',
    'publish',
  ])('does not ask for %s', (request) => {
    expect(requests.fromPage(onHandle({ request, room: 'o1', secret: 's', admin_key: 'k' }))).toBeNull();
  });

  it('records nothing and changes no settings of a stream', () => {
    const onward = requests.fromPage(
      onHandle({ request: 'configure', bitrate: 1, record: true, filename: '/etc/passwd', audio_level_average: 1 }),
    );
    expect(onward.body).toEqual({ request: 'configure' });
  });

  it('sends no more than a description of its connection can be', () => {
    const jsep = (sdp) => ({ jsep: { type: 'offer', sdp, rid_order: 'x', e2ee: true } });
    expect(requests.fromPage(onHandle({ request: 'configure' }, jsep('v=0'))).jsep).toEqual({
      type: 'offer',
      sdp: 'v=0',
    });
    expect(requests.fromPage(onHandle({ request: 'configure' }, jsep('v'.repeat(50_001))))).toBeNull();
    expect(requests.fromPage(onHandle({ request: 'configure' }, { jsep: { type: 'pranswer', sdp: '' } }))).toBeNull();
  });

  it('says what it likes, and the gate lives', () => {
    const values = [null, 0, -1, 1e99, '', 'x', [], {}, [[]], { a: 1 }, true, 'x'.repeat(300)];
    for (const value of values) {
      expect(requests.fromPage(value)).toBeNull();
      expect(requests.fromPage(onHandle(value))).toBeNull();
      for (const name of ['janus', 'session_id', 'handle_id', 'transaction'])
        expect(requests.fromPage({ ...onHandle({ request: 'start' }), [name]: value })).toBeNull();
      requests.fromPage(onHandle({ request: 'subscribe', streams: value }));
      requests.fromPage(onHandle({ request: 'configure', descriptions: value }));
      requests.fromPage(onHandle({ request: 'configure', streams: [value] }));
      requests.fromPage(onHandle({ request: 'configure' }, { jsep: value }));
      requests.fromPage({ ...onHandle({}), janus: 'trickle', candidate: value });
    }
  });

  it('says which of the pictures that come it wants, and nothing else of them', () => {
    const wants = (stream) => requests.fromPage(onHandle({ request: 'configure', streams: [stream] }));
    expect(wants({ mid: '1', send: false }).body).toEqual({ request: 'configure', streams: [{ mid: '1', send: false }] });
    for (const other of [{ mid: '1' }, { mid: '1', send: 1 }, { mid: '1', send: true, substream: 2 }, null])
      expect(wants(other)).toBeNull();
  });

  it('sends candidates, and their end', () => {
    const trickle = (candidate) => requests.fromPage({ ...onHandle({}), janus: 'trickle', candidate });
    expect(trickle({ candidate: 'candidate:1', sdpMid: '0', sdpMLineIndex: 0, other: 1 }).candidate).toEqual({
      candidate: 'candidate:1',
      sdpMid: '0',
      sdpMLineIndex: 0,
    });
    expect(trickle(null).candidate).toEqual({ completed: true });
    expect(trickle({ completed: true }).candidate).toEqual({ completed: true });
    expect(trickle({ candidate: 'x'.repeat(1_001) })).toBeNull();
  });
});

describe('who somebody is', () => {
  const text = (value) => Buffer.from(JSON.stringify(value)).toString('base64url');
  it('is read from the address', () => {
    expect(readParticipant(text(ada))).toEqual(ada);
    expect(readParticipant(text({ id: `staff-${ada.id}`, name: 'Ines Ó Briain' }))?.name).toBe('Ines Ó Briain');
  });
  it('is nobody where it is anything else', () => {
    for (const value of [
      null,
      1,
      'x',
      [],
      {},
      { id: 'x', name: '' },
      { id: ada.id },
      { ...ada, name: 'x'.repeat(201) },
    ])
      expect(readParticipant(text(value))).toBeNull();
    expect(readParticipant('%%%')).toBeNull();
  });
});

describe('the token of a session', () => {
  it('names its end and its plugins, and is signed', () => {
    const token = sessionToken('secret', ['a', 'b'], 60, 1_000_000);
    expect(token.split(':')[0]).toBe('1060,janus,a,b');
    expect(token).not.toBe(sessionToken('other', ['a', 'b'], 60, 1_000_000));
  });
});
