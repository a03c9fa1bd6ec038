import archivo from '@fontsource-variable/archivo/files/archivo-latin-wdth-normal.woff2?url';
import mono from '@fontsource-variable/martian-mono/files/martian-mono-latin-wdth-normal.woff2?url';

const FACES = [
  { family: 'Archivo Variable', url: archivo, stretch: '62% 125%' },
  { family: 'Martian Mono Variable', url: mono, stretch: '75% 112.5%' },
];

let faces: Promise<string> | undefined;

/** The page's faces as CSS that needs nothing from outside; without them where they cannot be read. */
export function fontFaces(): Promise<string> {
  faces ??= Promise.all(FACES.map(faceOf)).then(
    (all) => all.join(''),
    () => '',
  );
  return faces;
}

async function faceOf({ family, url, stretch }: (typeof FACES)[number]): Promise<string> {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
  let binary = '';
  for (const byte of bytes) binary += String.fromCharCode(byte);
  const source = `url(data:font/woff2;base64,${btoa(binary)}) format('woff2')`;
  return `@font-face{font-family:'${family}';src:${source};font-weight:100 900;font-stretch:${stretch}}`;
}
