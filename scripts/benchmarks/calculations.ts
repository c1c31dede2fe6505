import { calculate } from '../../core/src/index.ts';

const SECONDS = 3;

/** What a class types: an area, a difference, a density, a sum, in turn and never twice the same. */
const EXPRESSIONS = Array.from({ length: 20_000 }, (_, i) => {
  const one = ((i % 997) / 10 + 1.1).toFixed(1);
  const other = ((i % 89) / 10 + 2.3).toFixed(1);
  return (
    [
      `${one} cm * ${other} cm`,
      `${i + 1}.5 - ${(i % 77) + 0.25}`,
      `${one} g / (18.6 mL - 9.${i % 10} mL)`,
      `${i}.37 + ${other}`,
    ][i % 4] ?? one
  );
});

function perSecond(): number {
  const start = performance.now();
  let done = 0;
  while (performance.now() - start < SECONDS * 1000) {
    for (const expression of EXPRESSIONS) calculate(expression);
    done += EXPRESSIONS.length;
  }
  return done / ((performance.now() - start) / 1000);
}

perSecond();
process.stdout.write(
  `simple expressions calculated on one core: ${Math.round(perSecond())} per second (aim: above 20000)\n`,
);
