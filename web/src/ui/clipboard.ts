/**
 * Puts a text on the clipboard.
 * @returns false where the browser does not let the page
 */
export async function copyText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}
