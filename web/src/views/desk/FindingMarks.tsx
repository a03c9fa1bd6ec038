import { deskFindings, type PositionFinding } from '@sorn/core/checkup';
import type { DeskInForce } from '@sorn/core/desk';
import { intersection } from '@sorn/core/geometry';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';
import { shortened } from '../../sheet/text-width.ts';

const SAYS = {
  apart: 'stands apart',
  unreached: 'no direction leads here',
};

/** What is wrong with how monitors stand, where it is. */
export function FindingMarks({ desk, view }: { desk: DeskInForce; view: Viewport }) {
  return deskFindings(desk).map((finding, i) => (
    <FindingMark key={i} finding={finding} desk={desk} view={view} line={linesBefore(desk, i)} />
  ));
}

/** How many findings in words the same monitor has before this one. */
function linesBefore(desk: DeskInForce, i: number): number {
  const all = deskFindings(desk);
  const { monitor } = all[i]!;
  return all.slice(0, i).filter((each) => each.kind !== 'overlap' && each.monitor === monitor)
    .length;
}

function FindingMark(props: {
  finding: PositionFinding;
  desk: DeskInForce;
  view: Viewport;
  line: number;
}) {
  const { finding, desk, view } = props;
  const named = (id: string) => desk.monitors.find((each) => each.id === id)!;
  const monitor = named(finding.monitor);
  if (finding.kind === 'overlap') {
    const both = intersection(monitor, named(finding.other))!;
    return <rect {...onSheet(view, both)} className="overlap" data-overlap={finding.other} />;
  }
  const { x, y, width, height } = onSheet(view, monitor);
  return (
    <text
      x={x + width / 2}
      y={y + height / 2 + 30 + props.line * 16}
      textAnchor="middle"
      className="label marked on-picture"
      data-finding={`${finding.kind} ${finding.monitor}`}
    >
      {shortened(SAYS[finding.kind], 'label', width - 12)}
    </text>
  );
}
