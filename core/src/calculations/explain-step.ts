import { figuresOf, type Step } from './measured.ts';
import type { RoundingRule } from '../numbers/rounding-rule.ts';

const PLACES: Readonly<Record<string, string>> = {
  '3': 'the thousands',
  '2': 'the hundreds',
  '1': 'the tens',
  '0': 'the ones',
  '-1': 'the tenths',
  '-2': 'the hundredths',
  '-3': 'the thousandths',
  '-4': 'the ten-thousandths',
};

/** A place in words: −2 → `the hundredths`. */
export function placeInWords(place: number): string {
  return PLACES[String(place)] ?? `the place of 10^${place}`;
}

/** Where a number as written ends: a time of day ends at its seconds, or parts of them. */
function lastPlaceInWords(text: string, place: number): string {
  if (!text.includes(':')) return placeInWords(place);
  return place === 0 ? 'the seconds' : `${placeInWords(place)} of a second`;
}

/** So many of something: `one figure`, `two decimals`. */
export function counted(count: number, thing: string): string {
  const words = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
  return `${words[count] ?? String(count)} ${thing}${count === 1 ? '' : 's'}`;
}

/** Asks of a step what a student asks: why two decimals, why three figures. */
export function questionAbout({ result, rule }: Pick<Step, 'result' | 'rule'>, rounding: RoundingRule): string {
  if (result.place === -Infinity) return 'Why are all digits kept?';
  const figures = figuresOf(result, rounding);
  if (figures === 0) return 'Why is no figure left?';
  const byPlace = rule === 'places' || rule === 'logarithm' || rule === 'standard-error' || rule === 'derivative';
  if (!byPlace) return `Why ${counted(figures, 'figure')}?`;
  if (result.place > 0) return `Why only as far as ${placeInWords(result.place)}?`;
  return result.place === 0 ? 'Why no decimals?' : `Why ${counted(-result.place, 'decimal')}?`;
}

/**
 * Answers it: which rule decided the digits, and which number ruled.
 * @param texts the operands as they would be written.
 */
export function reasonFor(step: Step, texts: readonly string[], rounding: RoundingRule): string {
  const { result, rule, ruledBy, operation } = step;
  const ruler = ruledBy === null ? undefined : step.operands[ruledBy];
  if (!ruler) return 'Every number in it is exact. Exact numbers do not limit the result.';
  const name = texts[ruledBy ?? 0] ?? '';
  const figures = figuresOf(ruler, rounding);
  if (operation === 'convert') return `The factor is exact, so the result has the same certain digits as ${name}.`;
  if (rule === 'figures' && figures === 0)
    return `${name} has no figure left, and nothing that is multiplied by it has one.`;
  switch (rule) {
    case 'places': {
      const sentence = `${PLACES_RULE[operation] ?? SUM_RULE}: ${name} ends at ${lastPlaceInWords(name, ruler.place)}.`;
      return figuresOf(result, rounding) === 0
        ? `${sentence} The result is smaller than that, so no certain figure is left.`
        : sentence;
    }
    case 'figures':
      if (operation === 'sqrt' || operation === '^')
        return `A power or root has as many figures as its base: ${name} has ${figures}.`;
      return `A product or quotient has as many figures as the factor with the fewest: ${name} has ${figures}.`;
    case 'logarithm':
      return `A logarithm has as many decimals as its argument has figures: ${name} has ${figures}.`;
    case 'antilogarithm':
      return `An antilogarithm has as many figures as the logarithm has decimals: ${name} has ${Math.max(0, -ruler.place)}.`;
    case 'derivative':
      return `The last place of the angle, ${placeInWords(ruler.place)}, times the slope there gives the last place of the result.`;
    case 'standard-error':
      return `This class writes a mean to the place of its standard error: ${placeInWords(result.place)}.`;
  }
}

const SUM_RULE = 'A sum or difference ends at the place of its least certain term';
const PLACES_RULE: Readonly<Record<string, string>> = {
  mean: 'A mean is written to the place of its least certain reading',
  abs: 'Without its sign a number keeps its places',
  min: 'The least of several readings keeps its own place',
  max: 'The largest of several readings keeps its own place',
  median: 'A median is written to the place of the readings in the middle',
};
