import type { ClockPicture, ClockView, Hands } from './clock-picture.ts';

const LINE = 6;
const NUMBER = 30;
const LINES_EACH = 5;

/** A number on the face: twelve at the top. */
function numberAt(degrees: number): number {
  return Math.floor(degrees / NUMBER) % 12 || 12;
}

const ORDINALS = ['', 'first', 'second', 'third', 'fourth'];

/** A line by the number that stands before it. */
function lineAt(line: number): string {
  const [number, beyond] = [numberAt(line * LINE), line % LINES_EACH];
  return beyond === 0 ? `the number ${number}` : `the ${ORDINALS[beyond] ?? ''} line after ${number}`;
}

/** Where the minute hand stands among the lines; the seconds hand is always on one. */
function minuteWords(degrees: number): string {
  const line = Math.floor(degrees / LINE + 1e-9);
  const isOn = degrees - line * LINE < 0.05;
  return isOn ? `on ${lineAt(line)}` : `between ${lineAt(line)} and ${lineAt((line + 1) % 60)}`;
}

function handsWords({ hour, minute, second }: Hands): string {
  const [passed, next] = [numberAt(hour), numberAt(hour + NUMBER)];
  const isOn = hour % NUMBER < 0.05;
  return [
    `The short hand is ${isOn ? `on the number ${passed}` : `between ${passed} and ${next}`}`,
    `the long hand is ${minuteWords(minute)}`,
    `and the thin hand is on ${lineAt(Math.round(second / LINE))}.`,
  ].join(', ');
}

function viewWords({ caption, hands, characters }: ClockView): string {
  const words = hands === null ? `The display shows ${characters ?? ''}.` : handsWords(hands);
  return `${caption.charAt(0).toUpperCase() + caption.slice(1)}: ${words.charAt(0).toLowerCase() + words.slice(1)}`;
}

/** A clock in words a time can be read from: where each hand stands among the numbers and lines, or what is displayed. */
export function describeClock({ views }: ClockPicture): string {
  return views.map(viewWords).join(' ');
}
