/** A colour by day and by night, as #rrggbb. */
export interface DayNight {
  day: string;
  night: string;
}

/** What windows are filled with. The theme makes its tokens of them; what is seen on them is worked out from them. */
export const FILLS = {
  sheet: { day: '#FBFAF6', night: '#152323' },
  focused: { day: '#DAE8E3', night: '#213A3A' },
} as const satisfies Record<string, DayNight>;
