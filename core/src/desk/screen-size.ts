import type { Size } from '../geometry/rect.ts';
import type { Monitor } from '../model/profile.ts';
import type { LengthScale } from '../values/quantity.ts';
import type { DeskMonitor } from './monitors.ts';
import { workArea } from './work-area.ts';

const MM_PER_INCH = 25.4;

/** The diagonal of a screen as it is sold: "27 inches", or "14.2 inches". */
export function inchesText({ width, height }: Size): string {
  const inches = Math.hypot(width, height) / MM_PER_INCH;
  return `${Number(inches.toFixed(1))} inches`;
}

/**
 * The size in millimetres of a screen with this diagonal and these pixels, which are taken for squares.
 * @param inches above 0
 */
export function millimetresOf(inches: number, { width, height }: Size): Size {
  const perPixel = (inches * MM_PER_INCH) / Math.hypot(width, height);
  return {
    width: Math.max(1, Math.round(width * perPixel)),
    height: Math.max(1, Math.round(height * perPixel)),
  };
}

/**
 * The size of a screen in both units: "600 × 340 mm, 27.2 inches".
 * @param millimetres of the part that shows the picture
 */
export function screenSizeText(millimetres: Size): string {
  const { width, height } = millimetres;
  return `${width} × ${height} mm, ${inchesText(millimetres)}`;
}

/**
 * The millimetres of a monitor as it is turned on its desk; undefined where they are not known.
 * @param own the monitor of the profile, whose millimetres are as it is turned there
 */
export function turnedMillimetres(own: Monitor, { turn }: DeskMonitor): Size | undefined {
  const { millimetres } = own;
  if (!millimetres) return undefined;
  return (turn - (own.turn ?? 0)) % 180 === 0
    ? millimetres
    : { width: millimetres.height, height: millimetres.width };
}

/** By what lengths of logical pixels on a monitor can be given: its real size, and its work area's width. */
export function lengthScaleOf(own: Monitor | undefined, monitor: DeskMonitor): LengthScale {
  const millimetres = own && turnedMillimetres(own, monitor);
  return {
    perMillimetre: millimetres ? monitor.width / millimetres.width / monitor.scale : null,
    whole: workArea(monitor).area.width / monitor.scale,
  };
}
