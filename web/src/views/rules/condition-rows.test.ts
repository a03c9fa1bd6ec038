import { whenSchema, type When } from '@sorn/core/model';
import { describe, expect, it } from 'vitest';
import { aboutFact, rowFault, rowsOf, whenOf, type ConditionRow } from './condition-rows.ts';

const when: When = whenSchema.parse({
  all: [
    { of: 'app', is: 'areamap' },
    { of: 'title', has: 'zones' },
    { of: 'resizable', is: false },
    { of: 'width', from: 300, to: 800 },
    { of: 'height', to: 200 },
  ],
  any: [
    { of: 'title', matches: '^a|b$' },
    { of: 'desk', fits: 'h*' },
  ],
  none: [
    { of: 'monitor', is: 'widest' },
    { of: 'width', from: 2000 },
  ],
});
const row = (more: Partial<ConditionRow>): ConditionRow => ({
  group: 'all',
  of: 'app',
  test: 'is',
  value: 'x',
  ...more,
});

describe('conditions as they are typed', () => {
  it('are the rule’s again, to the last', () => {
    expect(whenOf(rowsOf(when))).toEqual(when);
  });

  it('leave blank rows out, and are none where one is wrong', () => {
    expect(whenOf([row({}), row({ value: ' ' })])?.all).toHaveLength(1);
    expect(whenOf([row({}), row({ of: 'width', test: 'from', value: 'wide' })])).toBeNull();
    expect(rowFault(row({ of: 'width', test: 'both', value: '300' }))).toContain('logical pixels');
    expect(rowFault(row({ of: 'title', test: 'matches', value: '(' }))).toContain(
      'missing closing )',
    );
    expect(rowFault(row({ of: 'width', test: 'both', value: '300 – 800' }))).toBeNull();
  });

  it('about another fact keep how it is asked and what was typed, where that can be', () => {
    expect(aboutFact(row({ test: 'has' }), 'title')).toMatchObject({ test: 'has', value: 'x' });
    expect(aboutFact(row({ test: 'has' }), 'kind')).toMatchObject({ test: 'is', value: 'dialog' });
    expect(aboutFact(row({ of: 'kind', value: 'dialog' }), 'mode')).toMatchObject({
      value: 'mirror',
    });
    expect(aboutFact(row({ of: 'kind', value: 'dialog' }), 'app')).toMatchObject({ value: '' });
    expect(aboutFact(row({ value: '300' }), 'width')).toMatchObject({ test: 'from', value: '300' });
  });
});
