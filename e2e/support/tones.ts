// Microphones that play a tone each, and ears that say which tones a page plays.
import { expect, type BrowserContext, type Page } from '@playwright/test';

declare global {
  interface Window {
    /** How loud a page plays a tone just now, in decibels. */
    loudness: (frequency: number) => number;
    /** Pulls the microphone out. */
    unplug: () => void;
  }
}

/** Louder than this is heard; what is not there stays below −85 dB. */
const heard = -50;

/** Every page of this context has a microphone that plays one tone, and can be listened to. Before it opens. */
export const giveTone = (context: BrowserContext, frequency: number) =>
  context.addInitScript((tone) => {
    let plugged: MediaStreamTrack[] = [];
    window.unplug = () => {
      for (const track of plugged) {
        track.stop();
        track.dispatchEvent(new Event('ended'));
      }
      plugged = [];
    };
    const open = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices);
    navigator.mediaDevices.getUserMedia = (wanted) => {
      if (wanted?.video !== undefined && wanted.video !== false) return open(wanted);
      const audio = new AudioContext({ sampleRate: 8_000 });
      const oscillator = audio.createOscillator();
      oscillator.frequency.value = tone;
      const destination = audio.createMediaStreamDestination();
      oscillator.connect(destination);
      oscillator.start();
      plugged.push(...destination.stream.getAudioTracks());
      return Promise.resolve(destination.stream);
    };
    const ears = new Map<MediaStream, AnalyserNode>();
    let audio: AudioContext | undefined;
    // eslint-disable-next-line @typescript-eslint/unbound-method -- it is called with its element below
    const play = HTMLMediaElement.prototype.play;
    const playing = new Set<HTMLMediaElement>();
    HTMLMediaElement.prototype.play = function (this: HTMLMediaElement) {
      playing.add(this);
      return play.call(this);
    };
    window.loudness = (frequency) => {
      let loudest = -200;
      for (const element of playing) {
        const stream = element.srcObject;
        if (element.paused || element.muted || !(stream instanceof MediaStream)) continue;
        audio ??= new AudioContext({ sampleRate: 8_000 });
        let ear = ears.get(stream);
        if (ear === undefined) {
          ear = audio.createAnalyser();
          ear.fftSize = 2_048;
          ear.smoothingTimeConstant = 0;
          audio.createMediaStreamSource(stream).connect(ear);
          ears.set(stream, ear);
        }
        const bins = new Float32Array(ear.frequencyBinCount);
        ear.getFloatFrequencyData(bins);
        const at = Math.round(frequency / (audio.sampleRate / ear.fftSize));
        loudest = Math.max(loudest, ...bins.slice(at - 2, at + 3));
      }
      return loudest;
    };
  }, frequency);

/** @returns those of these tones that a page plays now */
export const tonesIn = (page: Page, tones: number[]) =>
  page.evaluate(({ all, least }) => all.filter((tone) => window.loudness(tone) > least), { all: tones, least: heard });

/** A page plays these of all tones, and no other. */
export async function expectTones(page: Page, all: number[], these: number[]) {
  await tonesIn(page, all); // the ears open with the first question
  await expect
    .poll(() => tonesIn(page, all), { intervals: [500], timeout: 120_000, message: 'the tones it plays' })
    .toEqual([...these].sort((a, b) => a - b));
}
