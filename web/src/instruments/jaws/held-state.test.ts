import { pictureOf, readingTask, type CaliperPicture, type MicrometerPicture, type Situation } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { CALIPER_VIEW } from '../calipers/caliper-view.tsx';
import { facesOf } from '../calipers/faces-of.ts';
import { facesOf as facesOfMicrometer } from '../micrometers/faces-of.ts';
import { contactAt, parted, reachOf, touchAt, untouchedHold, type Faces } from './held-state.ts';

function caliper(situation: Situation): { picture: CaliperPicture; faces: Faces } {
  const picture = pictureOf(readingTask('caliper-twentieth', { loose: true, ...situation })) as CaliperPicture;
  return { picture, faces: facesOf(picture) };
}

describe('jaws brought to a thing', () => {
  it('stop where they touch it, and on each other where nothing is between them', () => {
    const { picture, faces } = caliper({ value: 24.6, zeroError: 0.1 });
    expect(contactAt(faces, untouchedHold)).toBeCloseTo(24.7, 9);
    expect(contactAt(faces, { ...untouchedHold, between: false })).toBeCloseTo(0.1, 9);
    expect(reachOf(faces, untouchedHold).least).toBeCloseTo(24.7, 9);
    expect(CALIPER_VIEW.seenFirst(picture).markAt).toBeGreaterThan(30);
    expect(CALIPER_VIEW.readAt(picture, 40)).toBe(24.7);
  });

  it('press what is soft, and no further than it gives', () => {
    const { faces } = caliper({ value: 24.6, soft: 1.2 });
    expect(reachOf(faces, untouchedHold).least).toBeCloseTo(23.4, 9);
    expect([
      touchAt(faces, untouchedHold, 25),
      touchAt(faces, untouchedHold, 24.6),
      touchAt(faces, untouchedHold, 24),
    ]).toEqual(['apart', 'touching', 'pressed']);
  });

  it('touch an oval thing elsewhere once it is turned', () => {
    const { faces } = caliper({ value: 24.6, oval: 0.2 });
    expect([contactAt(faces, untouchedHold), contactAt(faces, { ...untouchedHold, turned: true })]).toEqual([
      24.8, 24.4,
    ]);
  });

  it('open inside a tube until they touch it', () => {
    const { picture, faces } = caliper({ value: 18.3, use: 'inside' });
    expect(CALIPER_VIEW.seenFirst(picture).markAt).toBeLessThan(18.3);
    expect(reachOf(faces, untouchedHold)).toEqual({ least: 0, most: 18.3 });
    expect([touchAt(faces, untouchedHold, 10), touchAt(faces, untouchedHold, 18.3)]).toEqual(['apart', 'touching']);
  });

  it('are kept apart by grit, differently each time they meet, until it is wiped off', () => {
    const { faces } = caliper({ value: 24.6, grit: 0.2 });
    const met = { ...untouchedHold, apart: false };
    expect(contactAt(faces, met)).toBeCloseTo(24.8, 9);
    const again = parted(faces, met, 30);
    expect(again.meetings).toBe(1);
    expect(contactAt(faces, again)).toBeCloseTo(24.71, 9);
    // As long as they stay apart it is still the same meeting that is to come.
    expect(parted(faces, again, 31)).toBe(again);
    expect(contactAt(faces, { ...again, wiped: true })).toBeCloseTo(24.6, 9);
  });

  it('of a micrometer spring when they are forced, but not by the ratchet', () => {
    const task = readingTask('micrometer-hundredth', { value: 7.73, loose: true });
    const faces = facesOfMicrometer(pictureOf(task) as MicrometerPicture);
    expect(reachOf(faces, untouchedHold).least).toBeCloseTo(7.7, 9);
    expect(reachOf(faces, untouchedHold, true).least).toBeCloseTo(7.73, 9);
    expect(reachOf(faces, untouchedHold).most).toBe(25);
  });
});
