import type { Page } from 'playwright-core';

/** A window as the sheet shows it. */
export interface DrawnWindow {
  id: string;
  app: string;
  held: string;
  focused: boolean;
  /** The figure in the drawing: the tile's size, or a floating window's own. */
  size: string;
  /** Where it is on the desk, in physical pixels. */
  at: string;
}

/** Reads the windows off the sheet, in the order in which they opened. */
export async function drawnWindows(page: Page): Promise<DrawnWindow[]> {
  const windows = await page.locator('svg [data-window]').evaluateAll((groups) =>
    groups.map((group) => ({
      id: group.getAttribute('data-window') ?? '',
      app: group.getAttribute('data-app') ?? '',
      held: group.getAttribute('data-held') ?? '',
      focused: group.getAttribute('data-focused') === 'true',
      size: group.querySelector('[data-figure=size]')?.textContent ?? '',
      at: group.getAttribute('data-at') ?? '',
    })),
  );
  return windows.sort((a, b) => a.id.localeCompare(b.id));
}

/** The figures of the windows of some apps, by app. */
export async function figuresOf(page: Page, ...apps: string[]): Promise<Record<string, string>> {
  const windows = await drawnWindows(page);
  return Object.fromEntries(
    windows.filter(({ app }) => apps.includes(app)).map(({ app, size }) => [app, size]),
  );
}

/** Waits until everything is saved, and the view is there: its file may be on its way. */
export async function saved(page: Page): Promise<void> {
  await page.locator('[data-save-state=saved]').waitFor();
  await page.getByRole('main').waitFor();
}

/** Goes to a view by its digit, and waits until it is there. */
export async function toView(page: Page, digit: string, name: string): Promise<void> {
  await page.keyboard.press(digit);
  await page.getByRole('main', { name }).waitFor();
}

/** Waits until the strip along the bottom tells a key: then it works. */
export async function keyWorks(page: Page, label: string): Promise<void> {
  await page.locator('footer').getByText(label).first().waitFor();
}
