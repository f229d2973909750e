// Before somebody goes into a room for the first time: does the microphone hear them?
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import * as m from '#messages';
import { chooseMicrophone, chosenMicrophone, microphones, MicrophoneFailed, openMicrophone } from './microphone';
import type { MicrophoneProblem } from './microphone';
import type { Outcome } from './roomStay';

interface Tried {
  track: MediaStreamTrack | null;
  problem: MicrophoneProblem | null;
}

/** A microphone that is open while the check is. */
function useTriedMicrophone(device: string | null): Tried {
  const [tried, setTried] = useState<Tried>({ track: null, problem: null });
  useEffect(() => {
    let isGone = false;
    let own: MediaStreamTrack | null = null;
    openMicrophone(device).then(
      (track) => {
        own = track;
        if (isGone) track.stop();
        else setTried({ track, problem: null });
      },
      (problem: unknown) =>
        isGone
          ? undefined
          : setTried({ track: null, problem: problem instanceof MicrophoneFailed ? problem.why : 'other' }),
    );
    return () => {
      isGone = true;
      own?.stop();
    };
  }, [device]);
  return tried;
}

/** How loud the microphone hears something, as a bar that moves. */
function Level({ track }: { track: MediaStreamTrack }) {
  const bar = useRef<HTMLDivElement>(null);
  const [isHeard, setIsHeard] = useState(false);
  useEffect(() => {
    const audio = new AudioContext();
    const meter = audio.createAnalyser();
    meter.fftSize = 1_024;
    audio.createMediaStreamSource(new MediaStream([track])).connect(meter);
    const samples = new Uint8Array(meter.fftSize);
    let frame = 0;
    const measure = () => {
      meter.getByteTimeDomainData(samples);
      const peak = samples.reduce((most, one) => Math.max(most, Math.abs(one - 128)), 0) / 128;
      bar.current?.style.setProperty('inline-size', `${Math.min(100, 140 * peak)}%`);
      if (peak > 0.08) setIsHeard(true);
      frame = requestAnimationFrame(measure);
    };
    measure();
    return () => {
      cancelAnimationFrame(frame);
      void audio.close();
    };
  }, [track]);
  return (
    <>
      <div aria-hidden="true" className="h-4 border border-ink bg-sheet">
        <div ref={bar} className="h-full bg-ink" />
      </div>
      <p role="status">{isHeard ? m.room_check_heard() : m.room_check_speak()}</p>
    </>
  );
}

/** Plays back what the microphone hears, a little later, so that it does not howl. */
function HearYourself({ track }: { track: MediaStreamTrack }) {
  const [isOn, setIsOn] = useState(false);
  useEffect(() => {
    if (!isOn) return undefined;
    const audio = new AudioContext();
    const later = audio.createDelay(1);
    later.delayTime.value = 0.6;
    audio
      .createMediaStreamSource(new MediaStream([track]))
      .connect(later)
      .connect(audio.destination);
    return () => void audio.close();
  }, [isOn, track]);
  return (
    <Button look="quiet" aria-pressed={isOn} className="self-start" onClick={() => setIsOn(!isOn)}>
      {isOn ? m.room_check_hearStop() : m.room_check_hear()}
    </Button>
  );
}

export function MicrophoneCheck({
  busy,
  onOutcome,
  onDone,
}: {
  busy: boolean;
  onOutcome: (outcome: Outcome) => void;
  onDone: (withMicrophone: boolean) => void;
}) {
  const [device, setDevice] = useState(chosenMicrophone());
  const { track, problem } = useTriedMicrophone(device);
  useEffect(() => {
    if (track !== null || problem !== null) onOutcome(problem ?? 'works');
  }, [track, problem, onOutcome]);
  const [all, setAll] = useState<MediaDeviceInfo[]>([]);
  useEffect(() => {
    // What they are called is told once one of them may be used.
    if (track !== null) void microphones().then(setAll, () => undefined);
  }, [track]);
  return (
    <section aria-label={m.room_check_title()} className="flex flex-col gap-3 border-2 border-ink p-3">
      <h2 className="text-lg font-semibold">{m.room_check_title()}</h2>
      {problem !== null && <p role="alert">{m.room_problem({ key: problem })}</p>}
      {track !== null && <Level track={track} />}
      <Button
        look="main"
        className="w-full py-4 text-xl"
        busy={busy || (track === null && problem === null)}
        onClick={() => onDone(track !== null)}
      >
        {track === null && problem !== null ? m.room_joinListening() : m.room_check_join()}
      </Button>
      {track !== null && (
        <Button look="quiet" className="self-center" busy={busy} onClick={() => onDone(false)}>
          {m.room_joinListening()}
        </Button>
      )}
      {/* Below: what comes a moment later must not move the button that is being pressed. */}
      {all.length > 1 && (
        <Choice
          label={m.room_check_device()}
          value={track?.getSettings().deviceId ?? null}
          options={all.map((one, i) => ({
            value: one.deviceId,
            label: one.label === '' ? m.room_check_number({ n: i + 1 }) : one.label,
          }))}
          onChange={(chosen) => {
            if (chosen === null) return;
            chooseMicrophone(chosen);
            setDevice(chosen);
          }}
        />
      )}
      {track !== null && <HearYourself track={track} />}
      <p className="text-sm text-soft">{m.room_check_without()}</p>
    </section>
  );
}
