/**
 * Colour and sign of a group. Twelve colours that stay apart for colour-blind eyes; the sign and the name always go with
 * them. Past the twelfth group the signs shift against the colours, so that 144 groups have marks of their own.
 */
export interface Mark {
  colour: string;
  sign: string;
  path: string;
}

const colours = [
  '#1769aa',
  '#b35900',
  '#0b8457',
  '#b8508c',
  '#7a6a00',
  '#3c9dd0',
  '#3a2f8f',
  '#7d1d4e',
  '#6f8f1f',
  '#2b9c93',
  '#97409b',
  '#6b3416',
];

/** Drawn on a square of 24. */
const signs: readonly [string, string][] = [
  [
    'wave',
    'M1 9c3-5 6-5 8-2s4 3 6 0 5-3 8 1v4c-3-3-5-3-7-1s-6 3-8 0-4-2-7 2zm0 8c3-5 6-5 8-2s4 3 6 0 5-3 8 1v4c-3-3-5-3-7-1s-6 3-8 0-4-2-7 2z',
  ],
  ['key', 'M7 6a6 6 0 1 0 5.700 8H16v4h3v-4h3v-4h-9.300A6 6 0 0 0 7 6zm0 4a2 2 0 1 1 0 4 2 2 0 0 1 0-4z'],
  ['leaf', 'M4 20C3 10 9 3 21 3c0 12-6 18-14 17l-2 2-1-1z'],
  ['bell', 'M12 2a2 2 0 0 1 2 2c3 1 4 4 4 8l2 4v1H4v-1l2-4c0-4 1-7 4-8a2 2 0 0 1 2-2zm-3 17h6a3 3 0 0 1-6 0z'],
  ['boat', 'M11 2v12H3l8-12zm2 4 7 8h-7zM2 16h20l-3 6H5z'],
  ['fish', 'M2 12c3-5 8-7 13-4l5-4-1 8 1 8-5-4c-5 3-10 1-13-4zm5-2a1.300 1.300 0 1 0 .1 0z'],
  ['lamp', 'M8 2h8l4 10h-7v7h4v3H7v-3h4v-7H4z'],
  ['hill', 'M2 21 9 7l4 7 3-5 6 12z'],
  ['drop', 'M12 2c4 6 7 9 7 13a7 7 0 0 1-14 0c0-4 3-7 7-13z'],
  ['bridge', 'M2 8h20v3h-2v8h-3c0-4-2-6-5-6s-5 2-5 6H4v-8H2z'],
  ['tree', 'M12 2a6 6 0 0 1 5 9 4 4 0 0 1-3 6.500V22h-4v-4.500A4 4 0 0 1 7 11a6 6 0 0 1 5-9z'],
  ['gate', 'M3 3h3v3h5V3h2v3h5V3h3v18h-3v-5h-5v5h-2v-5H6v5H3zm3 6v4h5V9zm7 0v4h5V9z'],
];

export function markOf(number: number): Mark {
  const colour = colours[number % colours.length] ?? '#1769aa';
  const [sign, path] = signs[(number + Math.floor(number / signs.length)) % signs.length] ?? [
    'wave',
    'M1 9c3-5 6-5 8-2s4 3 6 0 5-3 8 1v4c-3-3-5-3-7-1s-6 3-8 0-4-2-7 2zm0 8c3-5 6-5 8-2s4 3 6 0 5-3 8 1v4c-3-3-5-3-7-1s-6 3-8 0-4-2-7 2z',
  ];
  return { colour, sign, path };
}
