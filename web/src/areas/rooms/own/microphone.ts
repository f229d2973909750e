// The microphone of this device: asked for, tried, chosen.
import { drawer } from '../../../ui/drawer';

export type MicrophoneProblem = 'insecure' | 'refused' | 'none' | 'busy' | 'other';

const problems: Record<string, MicrophoneProblem> = {
  NotAllowedError: 'refused',
  SecurityError: 'refused',
  NotFoundError: 'none',
  OverconstrainedError: 'none',
  NotReadableError: 'busy',
  AbortError: 'busy',
};

export const problemFrom = (problem: unknown): MicrophoneProblem =>
  problem instanceof DOMException ? (problems[problem.name] ?? 'other') : 'other';

/**
 * @param device null: the one the system has chosen
 * @throws MicrophoneProblem
 */
export async function openMicrophone(device: string | null): Promise<MediaStreamTrack> {
  // Browsers lend a microphone to secure addresses alone; elsewhere this is missing.
  const devices = navigator.mediaDevices as MediaDevices | undefined;
  if (devices === undefined) return Promise.reject(new MicrophoneFailed('insecure'));
  try {
    const stream = await devices.getUserMedia({
      audio: {
        echoCancellation: true,
        noiseSuppression: true,
        autoGainControl: true,
        ...(device === null ? {} : { deviceId: { ideal: device } }),
      },
    });
    const [track] = stream.getAudioTracks();
    if (track === undefined) throw new MicrophoneFailed('none');
    return track;
  } catch (problem) {
    throw problem instanceof MicrophoneFailed ? problem : new MicrophoneFailed(problemFrom(problem));
  }
}

const chosen = drawer('microphone');
const tried = drawer('microphone-tried');

/** @returns the one chosen on this device; null: the one the system has chosen */
export const chosenMicrophone = () => chosen.load();
export const chooseMicrophone = (device: string) => chosen.save(device);

/** Whether somebody has tried a microphone on this device before. */
export const isMicrophoneTried = () => tried.load() !== null;
export const noteMicrophoneTried = () => tried.save('yes');

export const microphones = async () =>
  (await navigator.mediaDevices.enumerateDevices()).filter((one) => one.kind === 'audioinput');

export class MicrophoneFailed extends Error {
  constructor(readonly why: MicrophoneProblem) {
    super(`The microphone can't be used: ${why}.`);
  }
}
