import type { Page } from 'playwright-core';
import { beforeEach, expect } from 'vitest';
import { visit, type Visit } from './browser.ts';
import type { Fixture } from './fixture.ts';

/** A page on a demo profile of its own, anew for each test; its console must stay empty. */
export interface DemoPage {
  page: Page;
  /** The profile's id. */
  id: string;
}

export function demoPage(running: Fixture, view: string): DemoPage {
  const present = {} as DemoPage;
  beforeEach(async () => {
    const { server, browser } = running;
    const created = await fetch(`${server.url}/api/demo`, { method: 'POST' });
    const { id } = (await created.json()) as { id: string };
    const open: Visit = await visit(browser, `${server.url}/${id}/${view}`);
    present.page = open.page;
    present.id = id;
    await open.page.locator('[data-window]').first().waitFor();
    return async () => {
      expect(open.said).toEqual([]);
      await open.context.close();
    };
  });
  return present;
}
