import { describe, expect, it } from 'vitest';
import { dateText, dayText } from './date-text.ts';

const NOW = new Date(2026, 10, 1, 0, 30);
const at = (...parts: [number, number, number, number, number]) => new Date(...parts).toISOString();

describe('a moment in words', () => {
  it('is under its day: today, yesterday over the end of a month, or its date', () => {
    expect(dayText(at(2026, 10, 1, 0, 5), NOW)).toBe('Today');
    expect(dayText(at(2026, 9, 31, 23, 59), NOW)).toBe('Yesterday');
    expect(dayText(at(2026, 9, 31, 0, 0), NOW)).toBe('Yesterday');
    expect(dayText(at(2026, 9, 30, 23, 59), NOW)).toBe('Friday 30 October 2026');
    expect(dayText('never', NOW)).toBe('An unknown day');
  });

  it('has the time of today to the second, of other days to the minute', () => {
    expect(dateText(at(2026, 10, 1, 0, 5), NOW)).toBe('today 00:05:00');
    expect(dateText(at(2026, 9, 31, 23, 59), NOW)).toBe('31 Oct 2026 23:59');
  });
});
