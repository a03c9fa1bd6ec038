import { describe, expect, it } from 'vitest';
import { computePlacements } from '../engine/placements.ts';
import { testDesk } from '../testing/desk.ts';
import { groupedFindings, type Finding } from './findings.ts';

const found = (count: number, tiling: object) => {
  const { session, profile } = testDesk(
    { monitors: [{ id: 'm', name: 'Middle', width: 1000, height: 600 }], tiling },
    {
      windows: Array.from({ length: count }, (_, i) => ({
        id: `w${i}`,
        min: { width: 400, height: 300 },
      })),
    },
  );
  return computePlacements(session, profile).findings;
};
const name = (id: string) => (id === 'm' ? 'Middle' : id.toUpperCase());
const texts = (findings: readonly Finding[]) =>
  groupedFindings(findings, name).map(({ text }) => text);

describe('findings as they are told', () => {
  it('many windows with one trouble are one sentence, and each counts once', () => {
    const grid = found(20, { layout: { kind: 'grid' } });
    expect(grid.length).toBeGreaterThan(20);
    expect(texts(grid)).toEqual(['20 windows on workspace 1, Middle, are under their minimum.']);
    expect(groupedFindings(grid, name)[0]!.findings).toEqual(grid);
  });

  it('few of them are told by name', () => {
    expect(texts(found(3, { layout: { kind: 'columns' }, whenTooSmall: 'float' }))).toEqual([
      'W2 has no tile on workspace 1: it floats until the rest fits.',
    ]);
  });

  it('what becomes of them is told apart, in the order in which it was found', () => {
    expect(texts(found(9, { layout: { kind: 'columns' }, whenTooSmall: 'float' }))).toEqual([
      '7 windows on workspace 1, Middle, float until the rest fits.',
    ]);
    expect(texts(found(9, { layout: { kind: 'columns' }, whenTooSmall: 'stack' }))).toEqual([
      '7 windows on workspace 1, Middle, lie beneath the last tile until the rest fits.',
    ]);
    const elsewhere = found(20, {}).map((finding, i) =>
      finding.kind === 'squeeze' && i % 2 === 0 ? { ...finding, monitor: 'n' } : finding,
    );
    const both: Finding[] = [{ kind: 'no-board', workspace: '1', monitor: 'm' }, ...elsewhere];
    expect(texts(both)).toHaveLength(3);
  });
});
