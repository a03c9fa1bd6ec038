import { describe, expect, it } from 'vitest';
import { caught, FAULTS } from './faults.ts';

/** `npm run fuzz -- --faults` plants each of them. */
const isAll = process.env['FUZZ_FAULTS'] === 'all';
const PLANTED = FAULTS.filter(({ name }) => isAll || /undo forgets|pocket is forgotten/.test(name));
const MOST_EVENTS = 200_000;

describe('the made-up runs catch a planted fault', { timeout: 600_000 }, () => {
  it.each(PLANTED.map((fault) => [fault.name, fault] as const))('%s', (name, fault) => {
    // It ends as soon as it is caught: on a machine with much else to do that takes a while.
    const { isCaught, events } = caught(fault, 240, 1);
    process.stdout.write(`\nfault: ${name}: ${isCaught ? 'caught' : 'missed'}, ${events} events\n`);
    expect(isCaught).toBe(true);
    expect(events).toBeLessThan(MOST_EVENTS);
  });
});
