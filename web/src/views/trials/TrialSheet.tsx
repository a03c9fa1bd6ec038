import type { Profile } from '@sorn/core/model';
import { endPlaces, type EndPlace, type TrialResult, type TryStep } from '@sorn/core/simulate';
import { memo, useMemo } from 'react';
import { Balloon } from '../../sheet/Balloon.tsx';
import { DimensionLine } from '../../sheet/DimensionLine.tsx';
import type { DeskState } from '../../sheet/moves.ts';
import { StillSheet } from '../../sheet/StillSheet.tsx';
import { onSheet, type Viewport } from '../../sheet/viewport.ts';

/** How the desk stands after a step, and where a window was expected that stands elsewhere. */
export const TrialSheet = memo(function TrialSheet(props: {
  state: DeskState;
  title: string;
  /** What does not hold here. */
  failure: TryStep['failure'];
}) {
  const { failure } = props;
  return (
    <StillSheet
      state={props.state}
      title={props.title}
      marks={(view) => failure?.place && <ExpectedMark place={failure.place} view={view} />}
    />
  );
});

type Place = NonNullable<NonNullable<TryStep['failure']>['place']>;

function ExpectedMark({ place, view }: { place: Place; view: Viewport }) {
  const { expected, stands, apart } = place;
  const at = onSheet(view, expected);
  const from = stands && onSheet(view, stands);
  return (
    <g data-expected={`${expected.x} ${expected.y} ${expected.width} ${expected.height}`}>
      <rect {...at} className="place-outline" />
      <text x={at.x + 8} y={at.y + at.height - 9} className="label marked on-picture">
        expected here
      </text>
      {from &&
        apart.map((measure) => {
          const isAlong = measure.axis === 'x';
          const across = isAlong ? from.y + from.height * 0.62 : from.x + from.width * 0.62;
          const toward = isAlong ? at.y + at.height / 2 : at.x + at.width / 2;
          const middle =
            ((measure.from + measure.to) / 2) * view.scale + (isAlong ? view.x : view.y);
          const length = Math.abs(measure.to - measure.from);
          return (
            <g key={measure.axis} data-apart={`${measure.axis} ${length}`}>
              <DimensionLine measure={measure} view={view} at={across} toward={toward} marked />
              <text
                x={isAlong ? middle : across + 6}
                y={isAlong ? across - 6 : middle}
                textAnchor={isAlong ? 'middle' : 'start'}
                className="figure marked on-picture"
              >
                {length}
              </text>
            </g>
          );
        })}
    </g>
  );
}

/** Where windows were after all tries: each of its places outlined, the stronger the more often. */
export function HeatSheet(props: { state: DeskState; result: TrialResult; title: string }) {
  const places = useMemo(() => endPlaces(props.result), [props.result]);
  const { profile } = props.state;
  return (
    <StillSheet
      state={props.state}
      title={props.title}
      isPlan
      marks={(view) =>
        places.map((place, i) => (
          <HeatMark
            key={`${place.rect.x} ${place.rect.y} ${place.rect.width} ${place.rect.height}`}
            place={place}
            profile={profile}
            view={view}
            isNamed={isNamedAt(places, i)}
          />
        ))
      }
    />
  );
}

/** Where places begin in the same corner, the one that is drawn last has the name. */
function isNamedAt(places: readonly EndPlace[], i: number): boolean {
  const { x, y } = places[i]!.rect;
  return !places.slice(i + 1).some(({ rect }) => rect.x === x && rect.y === y);
}

function HeatMark(props: { place: EndPlace; profile: Profile; view: Viewport; isNamed: boolean }) {
  const { place, profile, view, isNamed } = props;
  const at = onSheet(view, place.rect);
  const windows = place.windows.map(({ app: id, nth, part }) => {
    const app = profile.apps.find((each) => each.id === id);
    const name = app?.name ?? id;
    return {
      id: `${id} ${nth}`,
      name: nth > 1 ? `${name} (${nth})` : name,
      balloon: app?.balloon ?? name.slice(0, 2).toUpperCase(),
      hue: app?.hue ?? 200,
      part,
      percent: `${Math.round(part * 100)} %`,
    };
  });
  const [most] = windows;
  if (!most) return null;
  const hue = `oklch(var(--balloon-lightness, 0.58) 0.12 ${most.hue + 25})`;
  // As many as there is room for, one below the other.
  const room = at.width > 60 && isNamed ? Math.floor((at.height - 8) / LINE) : 0;
  return (
    <g>
      <title>
        {windows.map(({ name, percent }) => `${name}: ${percent} of the tries`).join('\n')}
      </title>
      <rect
        {...at}
        stroke={hue}
        strokeWidth={1 + 2 * most.part}
        strokeOpacity={0.35 + 0.65 * most.part}
        fill={hue}
        fillOpacity={0.04 + 0.28 * most.part}
      />
      {windows.map(({ id, balloon, hue: own, part, percent }, i) => (
        <g key={id} data-heat={id} data-part={part.toFixed(4)}>
          {i < room && (
            <>
              <Balloon x={at.x + 20} y={at.y + 20 + i * LINE} text={balloon} hue={own} />
              <text x={at.x + 38} y={at.y + 24 + i * LINE} className="figure strong">
                {percent}
              </text>
            </>
          )}
        </g>
      ))}
    </g>
  );
}

/** From one balloon to the next, in screen pixels. */
const LINE = 30;
