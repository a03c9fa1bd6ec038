import { expect, it } from 'vitest';
import { does, profileWith } from '../testing/keys.ts';
import { deviceCsv, deviceHtml, deviceMarkdown, deviceTable } from './device-table.ts';

it('a device’s driver is told which chord each input sends, so that it does what it is bound to', () => {
  const profile = profileWith(
    [
      { keys: 'Button4', command: does('focus-left') },
      { keys: 'Button6', command: does('float') },
      { keys: 'Button7', command: does('centre') },
      { keys: 'Main+F11', command: does('float') },
      { keys: 'Main+KeyJ', command: does('float') },
      { keys: 'Main+KeyK KeyF', command: does('centre') },
    ],
    { layers: [], legends: { KeyJ: 'И' } },
  );
  const device = { id: 'm', buttons: 8, modifiers: false, atOnce: 'one' as const, profiles: 1 };
  const lines = deviceTable(profile, device);
  expect(lines).toHaveLength(8);
  expect(lines.slice(3)).toEqual([
    // What is told apart by itself sends itself.
    { input: 'Button 4', sends: 'itself', does: 'focus-left' },
    { input: 'Button 5', sends: null, does: null },
    // The nearest chord of those that do the same, as it is printed.
    { input: 'Button 6', sends: 'Meta + И', does: 'float' },
    // A sequence is no chord.
    { input: 'Button 7', sends: null, does: 'centre' },
    { input: 'Button 8', sends: null, does: null },
  ]);
  expect(deviceCsv(lines).split('\n').slice(4, 8)).toEqual([
    'Button 4,itself,focus-left',
    'Button 5,,',
    'Button 6,Meta + И,float',
    'Button 7,no chord does it yet,centre',
  ]);
  expect(deviceHtml('A <b>', lines)).toContain('<h1>A &lt;b&gt;</h1>');
  expect(deviceHtml('A', lines)).toContain('<td>Button 6</td><td>Meta + И</td><td>float</td>');
  expect(deviceMarkdown('A | B', lines)).toContain('# A \\| B\n');
});

it('as comma-separated values nothing is a formula', () => {
  const lines = [{ input: '=1+2', sends: null, does: '@close' }];
  expect(deviceCsv(lines)).toBe(`input,sends,does\n"'=1+2",no chord does it yet,"'@close"\n`);
});
