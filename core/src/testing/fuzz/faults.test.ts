import { describe, expect, it } from 'vitest';
import { caught, FAULTS } from './faults.ts';

/** `npm run fuzz -- --faults` plants each of them. */
const isAll = process.env['FUZZ_FAULTS'] === 'all';
const PLANTED = FAULTS.filter(({ name }) => isAll || /undo forgets|pocket is forgotten/.test(name));
const MOST_EVENTS = 200_000;

describe('the made-up runs catch a planted fault', { timeout: 600_000 }, () => {
  it.each(PLANTED.map((fault) => [fault.name, fault] as const))('%s', (name, fault) => {
    const { isCaught, events } = caught(fault, isAll ? 60 : 20, 1);
    process.stdout.write(`\nfault: ${name}: ${isCaught ? 'caught' : 'missed'}, ${events} events\n`);
    expect(isCaught).toBe(true);
    expect(events).toBeLessThan(MOST_EVENTS);
  });
});
