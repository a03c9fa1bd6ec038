import { describe, expect, it } from 'vitest';
import { stillUnsaved } from './drafts.ts';

const draft = {
  value: { a: 3, b: 0 },
  base: 7,
  sent: [
    { a: 1, b: 0 },
    { a: 2, b: 0 },
  ],
};

describe('a draft of an earlier visit', () => {
  it('is nothing any more where what was under way arrived, and nothing was done since', () => {
    const whole = { ...draft, sent: [...draft.sent, draft.value] };
    expect(stillUnsaved(whole, { revision: 8, value: { b: 0, a: 3 } })).toBeUndefined();
  });

  it('goes on from its own save, when the page went away before its answer', () => {
    for (const a of [1, 2])
      expect(stillUnsaved(draft, { revision: 8, value: { a, b: 0 } })).toEqual({
        value: { a: 3, b: 0 },
        base: 8,
      });
  });

  it('stays on its ground where nothing arrived, or somebody else saved', () => {
    expect(stillUnsaved(draft, { revision: 7, value: { a: 0, b: 0 } })).toEqual(draft);
    expect(stillUnsaved(draft, { revision: 8, value: { a: 1, b: 1 } })).toEqual(draft);
    // Two saves on one ground cannot both be its own.
    expect(stillUnsaved(draft, { revision: 9, value: { a: 2, b: 0 } })).toEqual(draft);
    const former = { value: { a: 3 }, base: 7 };
    expect(stillUnsaved(former, { revision: 8, value: { a: 3 } })).toEqual(former);
  });
});
