import { proofread, seededRandom } from '@green-beam/core';

const ROWS = 200;
const TIMES = 15;

const random = seededRandom(19);
const drawn = (least: number, width: number, decimals: number): string =>
  (least + width * random.uniform()).toFixed(decimals);

/** A long table of a class: twelve columns, two of them worked out. */
const headings = [
  'Trial',
  'Mass / g',
  'Before / mL',
  'After / mL',
  'Volume / mL',
  'Density / g/mL',
  'Temperature / °C',
  'Length / cm',
  'Width / cm',
  'Thickness / mm',
  'Time / s',
  'Pressure / hPa',
];
const rows = Array.from({ length: ROWS }, (_, i) => {
  const [mass, before] = [drawn(40, 1, 2), drawn(18, 6, 1)];
  const after = (Number(before) + Number(drawn(5, 4, 1))).toFixed(1);
  const volume = (Number(after) - Number(before)).toFixed(1);
  const density = (Number(mass) / Number(volume)).toPrecision(2);
  return [
    String(i + 1),
    mass,
    before,
    after,
    volume,
    density,
    drawn(20, 2, 1),
    drawn(5, 3, 2),
    drawn(2, 2, 2),
    drawn(3, 1, 2),
    drawn(20, 9, 1),
    drawn(990, 30, 0),
  ];
});
const table = [headings, ...rows];
const times = Array.from({ length: TIMES }, () => {
  const begun = performance.now();
  proofread(table);
  return performance.now() - begun;
}).sort((a, b) => a - b);
process.stdout.write(
  `a table of ${ROWS} rows and ${headings.length} columns, proof-read: median ${(times[Math.floor(TIMES / 2)] ?? 0).toFixed(0)} ms, slowest ${(times.at(-1) ?? 0).toFixed(0)} ms (aim: 200 ms)\n`,
);
