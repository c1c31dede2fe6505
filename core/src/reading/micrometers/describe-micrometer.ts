import type { MicrometerPicture } from './micrometer-picture.ts';

/** A micrometer as it stands, in words a reading can be made from. @param open millimetres uncovered. */
export function describeMicrometerAt(
  { marks, thimbleDivisions, sleeveLines }: MicrometerPicture,
  open: number,
): string {
  const half = (marks[1]?.x ?? 0.5) - (marks[0]?.x ?? 0);
  const halves = Math.floor(open / half + 1e-6);
  const turned = (open / half - halves) * thimbleDivisions;
  const part = turned - Math.floor(turned + 1e-6);
  // On the sleeve's vernier the tenth line is the zeroth of the next division.
  const nextDivision = sleeveLines.length > 0 && Math.round(part * 10) === 10;
  const passed = Math.floor(turned + 1e-6) + (nextDivision ? 1 : 0);
  const sleeve =
    halves < 0
      ? 'No line of the sleeve is uncovered'
      : `On the sleeve ${Math.floor(halves / 2)} whole millimetres are uncovered, and ${halves % 2 === 0 ? 'no half-millimetre line after them' : 'one half-millimetre line after them'}`;
  const beyond =
    sleeveLines.length > 0
      ? `line ${Math.round(part * 10) % 10} of the sleeve’s vernier lies on a thimble line`
      : part < 0.06
        ? 'on it'
        : part < 0.45
          ? 'nearer to it than to the next'
          : part <= 0.55
            ? 'midway to the next'
            : 'nearer to the next than to it';
  return `${sleeve}. The datum line meets the thimble ${sleeveLines.length > 0 ? `past division ${passed}; ${beyond}` : `at division ${passed}, ${beyond}`}.`;
}

/** A micrometer in words a reading can be made from. */
export function describeMicrometer(picture: MicrometerPicture): string {
  const closed =
    picture.closedX === null ? '' : ` With the faces closed: ${describeMicrometerAt(picture, picture.closedX)}`;
  return `On the ${picture.thing.name}: ${describeMicrometerAt(picture, picture.openX)}${closed}`;
}
