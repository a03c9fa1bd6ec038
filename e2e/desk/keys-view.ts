import type { DemoPage } from './demo-page.ts';

/** What tests of the Keys view do and read, on a page of their own. */
export function keysView(open: DemoPage) {
  const press = async (...keys: string[]) => {
    for (const key of keys) await open.page.keyboard.press(key);
  };
  const type = (text: string) => open.page.keyboard.type(text);
  const textOf = async (selector: string) => (await open.page.locator(selector).innerText()).trim();
  /** What a key of the drawn board says it does. */
  const does = (code: string) =>
    open.page.locator(`[data-key="${code}"]`).getAttribute('data-does');
  /** The selected binding, as the inspector tells it. */
  const sentence = async () => (await textOf('[data-sentence]')).replace(/\s+/g, ' ');
  const findings = () =>
    open.page
      .locator('[data-key-finding]')
      .evaluateAll((lines) => lines.map((line) => line.getAttribute('data-key-finding')));
  const commandsFound = () =>
    open.page.locator('[data-binding] [data-column=command]').allInnerTexts();
  /** Records keys: what is pressed goes to the recorder until no further press comes. */
  async function record(...keys: string[]) {
    await open.page.getByRole('status', { name: 'Recording' }).waitFor();
    await press(...keys);
    await open.page.getByRole('status', { name: 'Recording' }).waitFor({ state: 'detached' });
  }
  /** Narrows the table to some words and takes what is first into hand. */
  async function search(text: string) {
    await press('/');
    await type(text);
    await press('Enter');
  }
  const last = () => open.page.locator('[data-last-key]').innerText();
  return { press, type, textOf, does, sentence, findings, commandsFound, record, search, last };
}
