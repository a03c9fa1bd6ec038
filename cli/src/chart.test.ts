import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { chartFile } from './chart.ts';

const demo = fileURLToPath(new URL('../../demo/bulletin-desk.profile.json', import.meta.url));

describe('sorn chart', () => {
  it('prints every binding once, as tables', () => {
    const csv = chartFile(demo, { as: 'csv' }).trim().split('\n');
    expect(csv[0]).toBe('task,keys,command,layer,app,from');
    expect(csv).toContain('layers,Meta Ins,enter-layer rare,base,,own');
    const markdown = chartFile(demo, { as: 'markdown' });
    expect(markdown.match(/^\| <kbd>/gm)).toHaveLength(csv.length - 1);
    expect(chartFile(demo, { as: 'html' })).toMatch(
      /<kbd>Meta<\/kbd> <kbd>Ins<\/kbd><\/span><b>enter layer rare/,
    );
  });

  it('draws it in the pixels of a monitor, by id or name', () => {
    expect(chartFile(demo, { as: 'svg' })).toContain('width="3440" height="1440"');
    const tall = chartFile(demo, { as: 'svg', monitor: 'Korvane Tall 27', night: true });
    expect(tall).toContain('width="1440" height="2560"');
    expect(tall).toContain('#152323');
  });

  it('tells what was expected of what it was asked for', () => {
    expect(() => chartFile(demo, { as: 'pdf' })).toThrow(
      '--as: "pdf"; expected one of markdown, csv, html, svg',
    );
    expect(() => chartFile(demo, { as: 'svg', monitor: 'tal' })).toThrow(
      '--monitor: "tal"; expected one of wide, tall, lap, wall',
    );
  });
});
