import { describe, expect, test } from '@jest/globals';
import { placedOn, voiceScale } from './voice-scale.ts';

describe('the scale that keyboard and voices share', () => {
  test('holds every range with a little to each side', () => {
    expect(
      voiceScale([
        { low: 57, high: 74 },
        { low: 60, high: 79 },
      ]),
    ).toEqual({ lowest: 53, highest: 83 });
  });

  test('is the whole keyboard while nobody sings', () => expect(voiceScale([])).toEqual({ lowest: 40, highest: 84 }));

  test('a range covers its keys from the left edge of the lowest to the right edge of the highest', () => {
    const scale = { lowest: 60, highest: 69 };
    expect(placedOn(scale, { low: 60, high: 69 })).toEqual({ left: '0%', width: '100%' });
    expect(placedOn(scale, { low: 62, high: 62 })).toEqual({ left: '20%', width: '10%' });
    // what lies outside the picture is cut at its rim
    expect(placedOn(scale, { low: 50, high: 64 })).toEqual({ left: '0%', width: '50%' });
  });
});
