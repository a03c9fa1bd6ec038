import { roomOf, type PrintedChart } from '@sorn/core/keys';

/** So long a page waits for what is asked before it is printed. */
const AT_MOST_MS = 3_000;

/** Gives a page of its own to the browser to print, and takes it away afterwards. */
export async function printed(page: string): Promise<void> {
  const frame = document.createElement('iframe');
  frame.title = 'Page to print';
  frame.tabIndex = -1;
  frame.ariaHidden = 'true';
  Object.assign(frame.style, {
    position: 'fixed',
    left: '-9999px',
    width: '0',
    height: '0',
    border: '0',
  });
  frame.srcdoc = page;
  const isThere = new Promise<void>((resolve) => {
    frame.addEventListener('load', () => resolve(), { once: true });
    setTimeout(resolve, AT_MOST_MS);
  });
  document.body.append(frame);
  await isThere;
  const content = frame.contentWindow;
  content?.addEventListener('afterprint', () => setTimeout(() => frame.remove()), { once: true });
  content?.print();
}

const POINT = 4 / 3;

/** A page as a picture of the sheet it is printed on, as it is seen before. */
export function paperPicture(
  page: string,
  on: Pick<PrintedChart, 'paper' | 'isLandscape'>,
): string {
  const { head, body } = new DOMParser().parseFromString(page, 'text/html');
  const room = roomOf(on);
  const [width, height] = [room.width * POINT, room.height * POINT];
  const inside = document.implementation.createHTMLDocument();
  inside.body.append(...head.querySelectorAll('style'), ...body.childNodes);
  const drawn = new XMLSerializer().serializeToString(inside.body);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><foreignObject width="${width}" height="${height}">${drawn}</foreignObject></svg>`;
}
