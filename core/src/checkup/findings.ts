import type { ArrangementFinding } from '../engine/finding.ts';
import type { ProfileFinding } from './profile.ts';

/** Something about a desk or a profile that a person should know. */
export type Finding = ArrangementFinding | ProfileFinding;

/**
 * A finding in one sentence.
 * @param name gives a window's or a monitor's name for a person
 * @param thing gives the name of what stands at a path; the path itself where left out
 */
export function findingText(
  finding: Finding,
  name: (id: string) => string,
  thing: (path: string) => string = (path) => path,
): string {
  switch (finding.kind) {
    case 'squeeze': {
      const size = finding.axis === 'x' ? 'wide' : 'high';
      return `${name(finding.window)} is ${finding.has} px ${size} and needs ${finding.needs}.`;
    }
    case 'no-tile':
      return `${name(finding.window)} has no tile on workspace ${finding.workspace}: it ${finding.now === 'float' ? 'floats' : 'lies beneath the last one'} until the rest fits.`;
    case 'no-zone':
      return `${name(finding.window)} floats: no zone on workspace ${finding.workspace} is empty.`;
    case 'no-board':
      return `No zone board fits ${name(finding.monitor)}: the windows of workspace ${finding.workspace} float there.`;
    case 'no-room': {
      const what = finding.what === 'reserved' ? 'reserved edges' : 'outer gap';
      const size = finding.axis === 'x' ? 'width' : 'height';
      return `${name(finding.monitor)} has no ${size} left for windows; its ${what} there is left out.`;
    }
    case 'unknown-name': {
      const hint = finding.nearest ? ` The nearest is ${finding.nearest}.` : '';
      return `${thing(finding.path)} names ${finding.value}, which does not exist.${hint}`;
    }
    case 'overlap':
      return `${name(finding.monitor)} and ${name(finding.other)} overlap by ${finding.width} × ${finding.height} px on the desk ${finding.desk}.`;
    case 'apart':
      return `${name(finding.monitor)} touches none of the others on the desk ${finding.desk}: a pointer does not get there.`;
    case 'unreached':
      return `No direction key leads to ${name(finding.monitor)} on the desk ${finding.desk}; go-monitor next does.`;
    case 'homed-nowhere':
      return `Workspace ${finding.workspace} is at home on ${finding.home}, which is on no desk.`;
    case 'board-nowhere':
      return `The board ${finding.board} is for no monitor of any desk: ${finding.because}.`;
    case 'board-empty':
      return `The board ${finding.board} has no zone, but comes first on ${listed(finding.monitors)}: windows find no zone there.`;
    case 'rule-empty':
    case 'rule-unmatched':
    case 'rule-hidden':
    case 'rules-pull':
    case 'rule-nowhere':
    case 'rule-too-large':
    case 'undecided':
      return finding.text;
    case 'outside':
      return `${name(finding.window)} is left alone and stands outside every monitor.`;
    case 'elsewhere':
      return `${name(finding.window)} asks for monitor ${finding.asked}, but workspace ${finding.workspace} is on ${name(finding.monitor)}.`;
    default:
      return `${finding.title}. ${finding.text}`;
  }
}

function listed(names: readonly string[]): string {
  return names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : names.join('');
}

/** Findings that one sentence covers. */
export interface FindingGroup {
  /** One sentence for all of them. */
  text: string;
  findings: readonly Finding[];
}

/** From this number of windows on, findings of one kind become one sentence. */
const MANY = 3;

type OfWindows = Extract<Finding, { kind: 'squeeze' | 'no-tile' | 'no-zone' }>;

/**
 * Findings as a person reads them: many windows of one place with the same trouble are one sentence, where the
 * first of them stood; everything else is told by itself.
 */
export function groupedFindings(
  findings: readonly Finding[],
  name: (id: string) => string,
): FindingGroup[] {
  const alike = new Map<string, OfWindows[]>();
  for (const finding of findings) {
    if (!isOfWindows(finding)) continue;
    const key = troubleOf(finding);
    alike.set(key, [...(alike.get(key) ?? []), finding]);
  }
  const told = new Set<string>();
  return findings.flatMap((finding): FindingGroup[] => {
    const single = [{ text: findingText(finding, name), findings: [finding] }];
    if (!isOfWindows(finding)) return single;
    const key = troubleOf(finding);
    const all = alike.get(key)!;
    const count = new Set(all.map(({ window }) => window)).size;
    if (count < MANY) return single;
    if (told.has(key)) return [];
    told.add(key);
    return [{ text: groupText(finding, count, name), findings: all }];
  });
}

function isOfWindows(finding: Finding): finding is OfWindows {
  return finding.kind === 'squeeze' || finding.kind === 'no-tile' || finding.kind === 'no-zone';
}

function troubleOf(finding: OfWindows): string {
  const { kind, workspace, monitor } = finding;
  return JSON.stringify([kind, workspace, monitor, kind === 'no-tile' && finding.now]);
}

function groupText(finding: OfWindows, count: number, name: (id: string) => string): string {
  const windows = `${count} windows on workspace ${finding.workspace}, ${name(finding.monitor)},`;
  if (finding.kind === 'squeeze') return `${windows} are under their minimum.`;
  if (finding.kind === 'no-zone') return `${windows} float: no zone is empty.`;
  const now = finding.now === 'float' ? 'float' : 'lie beneath the last tile';
  return `${windows} ${now} until the rest fits.`;
}
