// The microphone of this device: asked for, tried, chosen.
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
        ...(device === null ? {} : { deviceId: { exact: device } }),
      },
    });
    const [track] = stream.getAudioTracks();
    if (track === undefined) throw new MicrophoneFailed('none');
    return track;
  } catch (problem) {
    throw problem instanceof MicrophoneFailed ? problem : new MicrophoneFailed(problemFrom(problem));
  }
}

export class MicrophoneFailed extends Error {
  constructor(readonly why: MicrophoneProblem) {
    super(`The microphone can't be used: ${why}.`);
  }
}
