import { windowName, windowOf, type Placement } from '@sorn/core/engine';
import { memo } from 'react';
import { frameStyle } from './frame-colour.ts';
import { useLive } from '../state/live-store.ts';
import { useProfileStore } from '../state/profile-context.ts';
import { onSheet, type Viewport } from './viewport.ts';
import { WindowLabel } from './WindowLabel.tsx';

interface Props {
  placement: Placement;
  view: Viewport;
  /** What it has and needs, where its tile is too small for it. */
  needs: string;
  /** Stays the same function, or all windows are drawn again. */
  onPress?: ((id: string) => void) | undefined;
}

/** A window where it is: outline by how it is held, balloon, title, size, and a flag where it is too small. */
export const WindowDrawing = memo(function WindowDrawing(props: Props) {
  const { placement, view, needs, onPress } = props;
  const window = useProfileStore((state) => windowOf(state.session, placement.id));
  const profile = useProfileStore((state) => state.profile);
  const isFocused = useProfileStore((state) => state.session.focus === placement.id);
  const picture = useLive((live) => (live.isShown ? live.pictures.get(placement.id) : undefined));
  if (!window) return null;

  const app = profile.apps.find(({ id }) => id === window.app);
  const name = windowName(profile, window);
  const frame = onSheet(view, placement);
  const given = placement.tile ?? placement.placed;
  const tile = given && onSheet(view, given);
  const fillsTile =
    !given || (given.width === placement.width && given.height === placement.height);
  const size = `${placement.width} × ${placement.height}`;
  const tileSize = given ? `${given.width} × ${given.height}` : size;
  const held = [
    placement.placed ? 'placed' : placement.held.replace('-', ' '),
    placement.zones?.join(' and '),
    placement.state?.replace('-', ' '),
    placement.stayAbove && 'above',
    placement.everywhere && 'everywhere',
  ].filter((word) => typeof word === 'string');
  // Tiled is the rule; the label says what is not.
  const isPlain = held.length === 1 && placement.held === 'tiled';
  const look = placement.placed ? 'placed' : placement.held;

  return (
    <>
      {tile && !fillsTile && !placement.state && (
        <Moving x={tile.x} y={tile.y}>
          <rect className="tile moving" style={sizeOf(tile)} />
        </Moving>
      )}
      <Moving x={frame.x} y={frame.y}>
        {/* A window on the sheet can be chosen by pointer; by key, the focus commands choose it. */}
        <g
          className={`is-${look}${placement.state ? ' is-raised' : ''}${isFocused ? ' is-focused' : ''}`}
          role="img"
          aria-label={`${name}, ${held.join(', ')}, ${placement.state ? size : tileSize}${isFocused ? ', focused' : ''}${needs ? `, ${needs}` : ''}`}
          data-window={placement.id}
          data-app={window.app}
          data-held={placement.held}
          data-zones={placement.zones?.join('+')}
          data-focused={isFocused}
          data-at={`${placement.x},${placement.y}`}
          data-size={`${placement.width} × ${placement.height}`}
          onClick={() => onPress?.(placement.id)}
        >
          <rect
            className="window moving"
            strokeWidth={Math.min(frame.width, frame.height) < 8 ? 0.5 : 1.5}
            style={sizeOf(frame)}
          />
          {picture !== undefined && (
            <Picture
              href={picture}
              frame={frame}
              from={isPlain ? 60 : 78}
              feet={needs || !fillsTile ? 2 : 1}
              id={placement.id}
            />
          )}
          {placement.held === 'left-alone' && (
            <rect className="moving" style={sizeOf(frame)} fill="url(#sheet-cross-hatch)" />
          )}
          <WindowLabel
            frame={frame}
            name={name}
            title={window.title ?? ''}
            balloon={app?.balloon ?? name.slice(0, 2)}
            hue={app?.hue ?? 0}
            size={placement.state ? size : tileSize}
            ownSize={fillsTile || placement.state ? null : size}
            held={isPlain ? '' : held.slice(placement.held === 'tiled' ? 1 : 0).join(' · ')}
            needs={needs}
          />
          {isFocused && (
            <FocusFrame
              width={frame.width}
              height={frame.height}
              inset={placement.held === 'tiled' || placement.placed ? 0 : 3}
            />
          )}
        </g>
      </Moving>
    </>
  );
});

function sizeOf({ width, height }: { width: number; height: number }) {
  return {
    width: `${Math.max(1, width)}px`,
    height: `${Math.max(1, height)}px`,
    transitionDuration: 'var(--motion)',
  };
}

function Moving(props: { x: number; y: number; children: React.ReactNode }) {
  const style = {
    transform: `translate(${props.x}px, ${props.y}px)`,
    transitionDuration: 'var(--motion)',
  };
  return (
    <g className="moving" style={style}>
      {props.children}
    </g>
  );
}

const LINE = 16;
const LEAST = 12;

/** A picture of the window, in what its label leaves free: that is read as without it. */
function Picture(props: {
  href: string;
  frame: { width: number; height: number };
  /** Where the label's head ends, and how many lines stand at the foot. */
  from: number;
  feet: number;
  id: string;
}) {
  const { href, frame, from, feet, id } = props;
  const height = frame.height - from - feet * LINE - 8;
  const width = frame.width - LINE;
  if (height < LEAST || width < LEAST) return null;
  return (
    <image
      href={href}
      x={LINE / 2}
      y={from}
      width={width}
      height={height}
      preserveAspectRatio="xMinYMid meet"
      data-picture={id}
    />
  );
}

/** A heavy frame with filled corners, inside the window's edge, or a little off it where that edge says more. */
function FocusFrame(props: { width: number; height: number; inset: number }) {
  const { width, height } = props;
  const { on, hue, weight: wished } = useProfileStore((state) => state.profile.look.focusFrame);
  if (!on) return null;
  const least = Math.min(width, height);
  const weight = Math.max(1, Math.min(wished, least / 3));
  const inset = Math.min(props.inset, least / 8);
  const from = inset + weight / 2;
  const corner = weight * 2;
  const colour = frameStyle(hue);
  const [left, top, right, bottom] = [inset, inset, width - inset, height - inset];
  return (
    <>
      <rect
        className="focus-frame moving"
        x={from}
        y={from}
        strokeWidth={weight}
        style={{ ...sizeOf({ width: width - 2 * from, height: height - 2 * from }), ...colour }}
      />
      <path
        className="focus-corner"
        style={colour}
        d={`M${left} ${top}h${corner}l${-corner} ${corner}Z
          M${right} ${top}v${corner}l${-corner} ${-corner}Z
          M${left} ${bottom}v${-corner}l${corner} ${corner}Z
          M${right} ${bottom}h${-corner}l${corner} ${-corner}Z`}
      />
    </>
  );
}
