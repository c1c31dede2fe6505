/** Names of units as they are said, in the singular, with their symbols. */
const NAMES: Readonly<Record<string, string>> = {
  gram: 'g', kilogram: 'kg', milligram: 'mg', pound: 'lb', lb: 'lb', ounce: 'oz',
  metre: 'm', centimetre: 'cm', millimetre: 'mm', kilometre: 'km', inch: 'in', foot: 'ft', feet: 'ft', mile: 'mi',
  litre: 'L', millilitre: 'mL', gallon: 'gal', quart: 'qt', cup: 'cup',
  second: 's', minute: 'min', hour: 'h',
  kelvin: 'K', 'degree celsius': '°C', 'degree fahrenheit': '°F', percent: '%',
};

const POWERS: Readonly<Record<string, string>> = { square: '^2', sq: '^2', cubic: '^3', cu: '^3' };

function singular(word: string): string {
  const metric = word.replace(/^degrees /, 'degree ').replace(/meter/, 'metre').replace(/liter/, 'litre');
  return Object.hasOwn(NAMES, metric) ? metric : metric.replace(/(?:(?<=inch)e)?s$/, '');
}

function symbolOf(said: string): string {
  const [, power = '', name = ''] = /^(?:(square|sq|cubic|cu)\.? )?(.*)$/.exec(said.toLowerCase().trim()) ?? [];
  const word = singular(name);
  const symbol = Object.hasOwn(NAMES, word) ? NAMES[word] : /^(?:square|sq|cubic|cu)\.? (.*)$/i.exec(said.trim())?.[1];
  return symbol === undefined ? said : symbol + (POWERS[power] ?? '');
}

/**
 * A unit by its symbols, whether it is written by them or said in words: `grams per cubic centimetre` → `g/cm^3`, `sq cm` → `cm^2`.
 * What is no name of a unit stays as it is.
 */
export function inSymbols(unit: string): string {
  const spaced = unit.replace(/fluid ounces?/i, 'fl oz');
  return spaced.split(/ per |\//i).map(symbolOf).join('/');
}
