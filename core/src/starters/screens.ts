/** A screen as people buy it. */
export interface CommonScreen {
  form: ScreenForm;
  /** As it is called in a shop: "27 inch, 4K". */
  name: string;
  /** Its diagonal. */
  inches: number;
  /** In physical pixels. */
  width: number;
  height: number;
  /** What most people set for it. */
  scale: number;
}

export type ScreenForm = 'monitor' | 'wide' | 'laptop';

/** The screens most people have; their order is that of their digits where one is added. */
export const COMMON_SCREENS: readonly CommonScreen[] = [
  { form: 'laptop', name: '14 inch laptop', inches: 14, width: 1920, height: 1200, scale: 1.25 },
  { form: 'laptop', name: '13 inch laptop', inches: 13.3, width: 2560, height: 1600, scale: 2 },
  { form: 'monitor', name: '24 inch', inches: 24, width: 1920, height: 1080, scale: 1 },
  { form: 'monitor', name: '27 inch', inches: 27, width: 2560, height: 1440, scale: 1 },
  { form: 'monitor', name: '27 inch, 4K', inches: 27, width: 3840, height: 2160, scale: 1.5 },
  { form: 'monitor', name: '32 inch, 4K', inches: 32, width: 3840, height: 2160, scale: 1.25 },
  { form: 'wide', name: '34 inch wide', inches: 34, width: 3440, height: 1440, scale: 1 },
  { form: 'laptop', name: '16 inch laptop', inches: 16, width: 2880, height: 1800, scale: 2 },
  { form: 'wide', name: '38 inch wide', inches: 38, width: 3840, height: 1600, scale: 1 },
  { form: 'wide', name: '49 inch wide', inches: 49, width: 5120, height: 1440, scale: 1 },
];

/** Of each form the screen most people have. */
export const USUAL_SCREENS: Readonly<Record<ScreenForm, CommonScreen>> = {
  laptop: COMMON_SCREENS[0]!,
  monitor: COMMON_SCREENS[3]!,
  wide: COMMON_SCREENS[6]!,
};

/** The next larger (1) or smaller (−1) screen of the same form; itself at the end. */
export function otherScreen(screen: CommonScreen, by: 1 | -1): CommonScreen {
  const alike = COMMON_SCREENS.filter(({ form }) => form === screen.form).sort(
    (a, b) => a.inches - b.inches || a.width - b.width,
  );
  return alike[alike.indexOf(screen) + by] ?? screen;
}
