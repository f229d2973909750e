import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { markOf } from './marks';

type Rgb = [number, number, number];

const css = readFileSync(resolve(import.meta.dirname, '../../styles.css'), 'utf8');

/** The values of a variable: in the light scheme, in the dark one (the same where it is not set anew). */
function schemes(name: string): { light: string; dark: string } {
  const [light, dark] = [...css.matchAll(new RegExp(`--${name}: (#[0-9a-f]{6})`, 'g'))].map((found) => found[1] ?? '');
  return { light: light ?? '', dark: dark ?? light ?? '' };
}

const rgb = (hex: string): Rgb => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255) as Rgb;
const linear = (c: number) => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
const luminance = ([r, g, b]: Rgb) => 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);
function contrast(one: string, other: string): number {
  const [a = 0, b = 0] = [luminance(rgb(one)), luminance(rgb(other))].sort((x, y) => y - x);
  return (a + 0.05) / (b + 0.05);
}

/** What colour-blind eyes see (Machado, Oliveira and Fernandes, 2009, severity 1), on linear light. */
const eyes: Record<string, number[][]> = {
  'that see all colours': [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  'without red': [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  'without green': [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  'without blue': [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

/** CIE L*a*b* of linear light, D65. */
function lab([r, g, b]: Rgb): Rgb {
  const f = (t: number) => (t > 0.008856 ? Math.cbrt(t) : 7.787 * t + 16 / 116);
  const x = f((0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.95047);
  const y = f(0.2126 * r + 0.7152 * g + 0.0722 * b);
  const z = f((0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}
function seen(hex: string, matrix: number[][]): Rgb {
  const light = rgb(hex).map(linear);
  return lab(
    matrix.map((row) =>
      Math.min(
        1,
        Math.max(
          0,
          row.reduce((sum, part, i) => sum + part * (light[i] ?? 0), 0),
        ),
      ),
    ) as Rgb,
  );
}
const apart = (one: Rgb, other: Rgb) => Math.hypot(...one.map((part, i) => part - (other[i] ?? 0)));

describe('the highlighter', () => {
  const accent = schemes('accent');

  it('can be written on in both schemes, as its wash can', () => {
    for (const scheme of ['light', 'dark'] as const) {
      expect(contrast(accent[scheme], schemes('on-accent')[scheme])).toBeGreaterThan(7);
      expect(contrast(schemes('wash')[scheme], schemes('ink')[scheme])).toBeGreaterThan(7);
    }
  });

  it.each(Object.entries(eyes))('is apart from all twelve colours of groups for eyes %s', (_, matrix) => {
    for (let group = 0; group < 12; group++) {
      expect(
        apart(seen(accent.light, matrix), seen(markOf(group).colour, matrix)),
        markOf(group).colour,
      ).toBeGreaterThan(30);
    }
    expect(apart(seen(accent.light, matrix), seen(schemes('lost').light, matrix))).toBeGreaterThan(40);
  });

  it.each(Object.entries(eyes))('is apart from amber, and amber from red, for eyes %s', (_, matrix) => {
    const [next, amber, red] = ['accent', 'attention', 'lost'].map((name) => seen(schemes(name).light, matrix));
    if (next === undefined || amber === undefined || red === undefined) throw new Error('A colour is missing.');
    expect(apart(next, amber)).toBeGreaterThan(15);
    expect(apart(amber, red)).toBeGreaterThan(25);
  });

  it('leaves amber readable: dark words on it in both schemes', () => {
    for (const scheme of ['light', 'dark'] as const)
      expect(contrast(schemes('attention')[scheme], schemes('on-accent')[scheme])).toBeGreaterThan(4.5);
  });

  it('leaves soft words readable on a wash', () => {
    for (const scheme of ['light', 'dark'] as const)
      expect(contrast(schemes('wash')[scheme], schemes('soft')[scheme])).toBeGreaterThan(4.5);
  });
});
