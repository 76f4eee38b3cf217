import { describe, expect, it } from 'vitest';
import { timeOf } from '@/components/form/clock';

describe('a time of the day', () => {
  it.each([
    ['930', '09:30'],
    ['9.30', '09:30'],
    ['9:30 pm', '21:30'],
    ['12 am', '00:00'],
    ['12pm', '12:00'],
    ['7', '07:00'],
    ['23:59', '23:59'],
  ])('is read from %s', (typed, read) => expect(timeOf(typed)).toBe(read));
  it.each(['24:00', '9:60', '13 pm', '0 am', 'noon', ''])('is not made of %s', (typed) =>
    expect(timeOf(typed)).toBe(typed),
  );
});
