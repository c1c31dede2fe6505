const DEFER = 'In the laboratory your school’s rules and the adult in charge come first.';

const HOT = 'Boiling water and steam burn your skin. Stand back, and do not lean over the vessel.';
const FLAMMABLE = 'Oil and spirit catch fire, and their vapour is harmful. Keep flames away and open a window.';
const BURNS = ['lamp oil', 'naphtha', 'spirit and water'];

export const BROKEN = 'Glass breaks. Lower it gently, and leave broken pieces to the adult in charge.';
export const NOT_BY_MOUTH = 'Never fill a pipette by mouth. Use a pipette filler, and hold the glass near its end.';

/** The usual cautions for a liquid and for the tool it is in, in the order of gravity; nothing where there is no danger. */
export function cautionsWith(liquid: string | undefined, ofTheTool: readonly string[] = []): string[] {
  const cautions = [
    ...(liquid?.includes('boiling') ? [HOT] : []),
    ...(liquid !== undefined && BURNS.includes(liquid) ? [FLAMMABLE] : []),
    ...ofTheTool,
  ];
  return cautions.length === 0 ? [] : [...cautions, DEFER];
}
