import { expect, it } from 'vitest';
import { COMMON_SCREENS, otherScreen } from './screens.ts';

it.each(['monitor', 'wide', 'laptop'] as const)(
  'a %s is followed by the next larger one',
  (form) => {
    const alike = COMMON_SCREENS.filter((screen) => screen.form === form);
    for (const screen of alike) {
      const size = ({ inches, width }: typeof screen) => inches * 1e5 + width;
      const larger = alike.map(size).filter((other) => other > size(screen));
      const smaller = alike.map(size).filter((other) => other < size(screen));
      // At the end it stays itself.
      expect(size(otherScreen(screen, 1))).toBe(
        larger.length > 0 ? Math.min(...larger) : size(screen),
      );
      expect(size(otherScreen(screen, -1))).toBe(
        smaller.length > 0 ? Math.max(...smaller) : size(screen),
      );
      expect(otherScreen(screen, 1).form).toBe(form);
    }
  },
);
