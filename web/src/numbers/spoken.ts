const UNIT_WORDS: Record<string, string> = {
  mL: 'millilitres',
  'cm³': 'cubic centimetres',
  'cm^3': 'cubic centimetres',
  g: 'grams',
  'g/mL': 'grams per millilitre',
  'g/cm³': 'grams per cubic centimetre',
  mm: 'millimetres',
  cm: 'centimetres',
  '°C': 'degrees Celsius',
  '%': 'percent',
};

/** A unit in words, for being read out. */
export function spokenUnit(unit: string): string {
  return UNIT_WORDS[unit] ?? unit;
}

/** A number as a screen reader should say it: “18.4, doubtful digit 4, millilitres”. */
export function spokenNumber(text: string, unit: string, exact: boolean): string {
  const [mantissa = '', exponent] = text.split('e');
  const last = mantissa.replace(/\D/g, '').at(-1) ?? '';
  const digits = mantissa.replace('-', 'minus ');
  const power = exponent === undefined ? '' : ` times ten to the power ${exponent}`;
  const doubt = exact ? ', exact' : `, doubtful digit ${last}`;
  return [`${digits}${power}${doubt}`, spokenUnit(unit)].filter(Boolean).join(', ');
}
