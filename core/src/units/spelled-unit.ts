/** Names of units as they are said, in the singular, with their symbols. */
const NAMES = new Map(
  Object.entries({
    gram: 'g',
    gm: 'g',
    kg: 'kg',
    kilogram: 'kg',
    milligram: 'mg',
    pound: 'lb',
    lb: 'lb',
    ounce: 'oz',
    'fluid ounce': 'fl oz',
    metre: 'm',
    cm: 'cm',
    centimetre: 'cm',
    mm: 'mm',
    millimetre: 'mm',
    kilometre: 'km',
    inch: 'in',
    foot: 'ft',
    feet: 'ft',
    mile: 'mi',
    litre: 'L',
    millilitre: 'mL',
    ml: 'mL',
    'c.c': 'cm^3',
    ccm: 'cm^3',
    gallon: 'gal',
    quart: 'qt',
    cup: 'cup',
    second: 's',
    minute: 'min',
    hour: 'h',
    kelvin: 'K',
    'degree c': '°C',
    'degree celsius': '°C',
    celsius: '°C',
    centigrade: '°C',
    'degree f': '°F',
    'degree fahrenheit': '°F',
    fahrenheit: '°F',
    percent: '%',
  }),
);

const POWERS = new Map([
  ['square', '^2'],
  ['sq', '^2'],
  ['cubic', '^3'],
  ['cu', '^3'],
]);

function symbolOf(said: string): string {
  const [, power = '', name = ''] = /^(?:(square|sq|cubic|cu)\.? )?(.*)$/i.exec(said.trim()) ?? [];
  const word = name
    .toLowerCase()
    .replace(/^degrees /, 'degree ')
    .replace(/(met|lit)er/, '$1re')
    .replace(/^inches$/, 'inch');
  const symbol = NAMES.get(word) ?? NAMES.get(word.replace(/s$/, '')) ?? name;
  return symbol + (POWERS.get(power.toLowerCase()) ?? '');
}

/**
 * A unit by its symbols, whether it is written by them or said in words: `grams per cubic centimetre` → `g/cm^3`, `sq cm` → `cm^2`.
 * What is no name of a unit stays as it is.
 */
export function inSymbols(unit: string): string {
  return unit
    .split(/ per |\//i)
    .map(symbolOf)
    .join('/');
}
