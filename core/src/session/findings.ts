import type { Dropped } from '../desk/work-area.ts';
import type { DeskFinding } from '../desk/check.ts';
import type { UnknownName } from '../desk/unknown.ts';
import type { BoardFinding } from '../zones/check.ts';
import type { KeyFinding } from '../keys/findings.ts';
import type { RuleFinding } from '../rules/check.ts';
import type { Axis } from '../geometry/rect.ts';

/** Something about an arrangement that a person should know. Lengths in physical pixels. */
export type Finding =
  | {
      kind: 'squeeze';
      window: string;
      workspace: string;
      monitor: string;
      axis: Axis;
      has: number;
      needs: number;
    }
  | { kind: 'no-tile'; window: string; workspace: string; monitor: string; now: 'float' | 'stack' }
  /** A window that finds no empty zone on a board, and floats. */
  | { kind: 'no-zone'; window: string; workspace: string; monitor: string }
  /** The layout is a zone board, and none fits the monitor. */
  | { kind: 'no-board'; workspace: string; monitor: string }
  | { kind: 'crowded'; workspace: string; monitor: string; windows: number }
  | ({ kind: 'no-room'; workspace: string; monitor: string } & Dropped)
  | ({ kind: 'unknown-name' } & UnknownName)
  | DeskFinding
  | BoardFinding
  | RuleFinding
  | KeyFinding
  /** A window that is left alone and meets no work area. */
  | { kind: 'outside'; window: string; monitor: string }
  | { kind: 'elsewhere'; window: string; workspace: string; monitor: string; asked: string };

/**
 * A finding in one sentence.
 * @param name gives a window's or a monitor's name for a person
 */
export function findingText(finding: Finding, name: (id: string) => string): string {
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
    case 'crowded':
      return `${finding.windows} windows on workspace ${finding.workspace} have fewer pixels than windows; some lie over each other.`;
    case 'no-room': {
      const what = finding.what === 'reserved' ? 'reserved edges' : 'outer gap';
      const size = finding.axis === 'x' ? 'width' : 'height';
      return `${name(finding.monitor)} has no ${size} left for windows; its ${what} there is left out.`;
    }
    case 'unknown-name': {
      const hint = finding.nearest ? ` The nearest is ${finding.nearest}.` : '';
      return `${finding.path} names ${finding.value}, which does not exist.${hint}`;
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
