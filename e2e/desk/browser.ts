import { chromium, type Browser, type BrowserContext, type Page } from 'playwright-core';

const PATH = process.env['CHROMIUM'] ?? '/usr/bin/chromium';

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export function launch(): Promise<Browser> {
  return chromium.launch({ executablePath: PATH, args: FLAGS });
}

export interface Visit {
  page: Page;
  context: BrowserContext;
  /** What the page's console said, faults of scripts included. */
  said: string[];
}

/** A page of 1280 × 800 as a person would have it, with nothing kept from other visits. */
export async function visit(
  browser: Browser,
  url: string,
  options: { night?: boolean; still?: boolean } = {},
): Promise<Visit> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    colorScheme: options.night ? 'dark' : 'light',
    reducedMotion: options.still === false ? 'no-preference' : 'reduce',
  });
  const page = await context.newPage();
  const said: string[] = [];
  page.on('console', (message) => said.push(`${message.type()}: ${message.text()}`));
  page.on('pageerror', (error) => said.push(`fault: ${error.message}`));
  await page.goto(url);
  return { page, context, said };
}
