import type { LinkRect } from '@sorn/link';

/** Where the server has a window: the corner of its border, and the size within it. */
export interface Geometry {
  x: number;
  y: number;
  width: number;
  height: number;
  border: number;
}

/** The outer box of a window, its border within. */
export function outerBox({ x, y, width, height, border }: Geometry): LinkRect {
  return { x, y, width: width + 2 * border, height: height + 2 * border };
}

/** How a window stands whose outer box and border are given; it is never smaller than a pixel. */
export function geometryOf({ x, y, width, height }: LinkRect, border: number): Geometry {
  const most = Math.floor((Math.min(width, height) - 1) / 2);
  const fits = Math.max(0, Math.min(border, most));
  return { x, y, width: width - 2 * fits, height: height - 2 * fits, border: fits };
}

/** Gravities by the protocol's number: how much of a change of size lies left of and above the reference point. */
const SHARES: Readonly<Record<number, readonly [number, number]>> = {
  2: [0.5, 0],
  3: [1, 0],
  4: [0, 0.5],
  5: [0.5, 0.5],
  6: [1, 0.5],
  7: [0, 1],
  8: [0.5, 1],
  9: [1, 1],
};
const STATIC = 10;

/** What a window asks for (ConfigureRequest): what it leaves out stays. */
export interface Wish {
  x?: number;
  y?: number;
  width?: number;
  height?: number;
}

/**
 * The outer box that a window asks for. It thinks of the border that it has of its own: its reference point, which its
 * gravity names, stays where that would be (ICCCM 4.1.2.3).
 *
 * @param own the width of the border that it asked for itself
 */
export function askedBox(wish: Wish, now: Geometry, gravity: number, own: number): LinkRect {
  const width = wish.width ?? now.width;
  const height = wish.height ?? now.height;
  const box = outerBox({ ...now, width, height });
  const wider = 2 * (own - now.border);
  const [shareX, shareY] = SHARES[gravity] ?? [0, 0];
  const shift = gravity === STATIC ? own - now.border : undefined;
  // A position that it does not ask for is that of the reference point as it is.
  const place = (asked: number | undefined, is: number, share: number, grown: number) =>
    asked === undefined
      ? Math.round(is - share * grown)
      : Math.round(asked + (shift ?? share * wider));
  return {
    ...box,
    x: place(wish.x, now.x, shareX, width - now.width),
    y: place(wish.y, now.y, shareY, height - now.height),
  };
}
