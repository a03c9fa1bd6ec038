const SELECTED =
  '[role=radio][aria-checked=true], [role=checkbox][aria-checked=true], [aria-pressed=true], [role=option][aria-selected=true], [aria-current]:not([aria-current=false]), li[data-selected=true], tr[data-selected=true] > td';

const tokens = (values: Readonly<Record<string, string>>) =>
  Object.fromEntries(
    Object.entries(values).map(([name, value]) => [`--sorn-colors-${name}`, over(value)]),
  );

/** Over every other style of the page: those of components are in a later layer. */
const over = (value: string) => `${value} !important`;

/**
 * Where the person’s system gives the colours: drawings take them through the tokens, and what is selected is filled
 * in the colours of a selection, as its own filling is taken away.
 */
export const forcedColours = {
  ':root:root': tokens({
    paper: 'Canvas',
    rail: 'Canvas',
    sheet: 'Canvas',
    ink: 'CanvasText',
    hairline: 'GrayText',
    grid: 'Canvas',
    slate: 'CanvasText',
    vermilion: 'Highlight',
    ochre: 'CanvasText',
    petrol: 'CanvasText',
    'petrol-wash': 'Canvas',
    'petrol-deep': 'Canvas',
    'petrol-solid': 'CanvasText',
    'petrol-contrast': 'Canvas',
    shade: 'Canvas',
  }),
  [`:is(${SELECTED})`]: {
    forcedColorAdjust: over('none'),
    bg: over('Highlight'),
    color: over('HighlightText'),
  },
  [`:is(${SELECTED}) :not(kbd, svg, svg *)`]: {
    color: over('HighlightText'),
    bg: over('transparent'),
  },
  [`:is(${SELECTED}) kbd`]: { color: over('CanvasText'), bg: over('Canvas') },
  // Whatever colour a person chose for it.
  '.focus-frame, .focus-corner, .monitor-focus': { '--frame': over('Highlight') },
  '*:focus-visible': { outline: over('3px dashed Highlight'), outlineOffset: over('2px') },
};
