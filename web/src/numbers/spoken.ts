/** Names of unit symbols, singular and plural. */
const NAMES: Readonly<Record<string, readonly [one: string, many: string]>> = {
  m: ['metre', 'metres'],
  g: ['gram', 'grams'],
  L: ['litre', 'litres'],
  s: ['second', 'seconds'],
  min: ['minute', 'minutes'],
  h: ['hour', 'hours'],
  'h:min:s': ['hours, minutes and seconds', 'hours, minutes and seconds'],
  in: ['inch', 'inches'],
  ft: ['foot', 'feet'],
  mi: ['mile', 'miles'],
  lb: ['pound', 'pounds'],
  oz: ['ounce', 'ounces'],
  gal: ['gallon', 'gallons'],
  qt: ['quart', 'quarts'],
  cup: ['cup', 'cups'],
  'fl oz': ['fluid ounce', 'fluid ounces'],
  atm: ['atmosphere', 'atmospheres'],
  Torr: ['torr', 'torr'],
  Pa: ['pascal', 'pascals'],
  N: ['newton', 'newtons'],
  J: ['joule', 'joules'],
  K: ['kelvin', 'kelvins'],
  '°C': ['degree Celsius', 'degrees Celsius'],
  '°F': ['degree Fahrenheit', 'degrees Fahrenheit'],
  '%': ['percent', 'percent'],
};
const PREFIXES: Readonly<Record<string, string>> = {
  p: 'pico',
  n: 'nano',
  μ: 'micro',
  m: 'milli',
  c: 'centi',
  d: 'deci',
  h: 'hecto',
  k: 'kilo',
  M: 'mega',
  G: 'giga',
};
const POWERS: Readonly<Record<string, string>> = { '2': 'square ', '3': 'cubic ' };
const RAISED: Readonly<Record<string, string>> = { '²': '^2', '³': '^3' };

function termInWords(term: string, many: boolean): string {
  const [symbol = '', power = '1'] = term.split('^');
  const prefix = NAMES[symbol] ? '' : symbol.slice(0, 1);
  const names = NAMES[symbol] ?? NAMES[symbol.slice(1)];
  if (!names) return term;
  const name = (PREFIXES[prefix] ?? '') + names[many ? 1 : 0];
  if (power === '1') return name;
  return POWERS[power] ? POWERS[power] + name : `${name} to the power ${power}`;
}

/** A unit in words, for being read out: g/cm^3 → “grams per cubic centimetre”. */
export function spokenUnit(unit: string): string {
  if (unit === '') return '';
  const [above = '', ...below] = unit.replace(/[²³]/g, (sign) => RAISED[sign] ?? sign).split('/');
  const product = (part: string, many: boolean): string =>
    part
      .split('*')
      .map((term, i, all) => termInWords(term, many && i === all.length - 1))
      .join(' ');
  return [above === '1' ? '' : product(above, true), ...below.map((part) => `per ${product(part, false)}`)]
    .filter(Boolean)
    .join(' ');
}

/** A number as a screen reader should say it: “18.4, doubtful digit 4, millilitres”. */
export function spokenNumber(text: string, unit: string, exact: boolean): string {
  const [mantissa = '', exponent] = text.split('e');
  const last = mantissa.replace(/\D/g, '').at(-1) ?? '';
  const digits = mantissa.replace('-', 'minus ');
  const power = exponent === undefined ? '' : ` times ten to the power ${exponent.replace('-', 'minus ')}`;
  const doubt = exact ? ', exact' : `, doubtful digit ${last}`;
  return [`${digits}${power}${doubt}`, spokenUnit(unit)].filter(Boolean).join(', ');
}
