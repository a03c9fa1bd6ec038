/** What an EDID made for a test is to say. */
export interface EdidSays {
  maker?: string;
  product?: number;
  serial?: number;
  name?: string;
  serialText?: string;
  width?: number;
  height?: number;
  widthMm?: number;
  heightMm?: number;
  clockKhz?: number;
  blankX?: number;
  blankY?: number;
  centimetres?: [number, number];
  revision?: number;
  /** Extension blocks that follow. */
  extensions?: number;
}

/** An EDID base block with its extensions, as a monitor would give it (VESA E-EDID 1.4, section 3). */
export function edidBytes(says: EdidSays): Uint8Array<ArrayBuffer> {
  const extensions = says.extensions ?? 0;
  const bytes = new Uint8Array(128 * (1 + extensions));
  bytes.set([0, 255, 255, 255, 255, 255, 255, 0]);
  const [a, b, c] = [...(says.maker ?? 'KRV')].map((letter) => letter.charCodeAt(0) - 64);
  const maker = a! * 1024 + b! * 32 + c!;
  const product = says.product ?? 0x3401;
  bytes.set([maker >> 8, maker & 255, product & 255, product >> 8], 8);
  new DataView(bytes.buffer).setUint32(12, says.serial ?? 0, true);
  bytes.set([12, 35, 1, says.revision ?? 4, 0xb5, ...(says.centimetres ?? [80, 34]), 120], 16);
  for (let at = 38; at < 54; at++) bytes[at] = 1;
  bytes.set(timing(says), 54);
  bytes.set(text(0xfc, says.name), 72);
  bytes.set(text(0xff, says.serialText), 90);
  bytes.set(text(0x10, undefined), 108);
  bytes[126] = extensions;
  for (let block = 0; block <= extensions; block++) {
    if (block > 0) bytes.set([2, 3, 4], block * 128);
    let sum = 0;
    for (let i = 0; i < 127; i++) sum += bytes[block * 128 + i]!;
    bytes[block * 128 + 127] = (256 - (sum % 256)) % 256;
  }
  return bytes;
}

function timing(says: EdidSays): number[] {
  const { width = 3440, height = 1440, widthMm = 800, heightMm = 335 } = says;
  const { blankX = 160, blankY = 41, clockKhz = 319_750 } = says;
  const clock = Math.round(clockKhz / 10);
  return [
    clock & 255,
    clock >> 8,
    width & 255,
    blankX & 255,
    ((width >> 8) << 4) | (blankX >> 8),
    height & 255,
    blankY & 255,
    ((height >> 8) << 4) | (blankY >> 8),
    48,
    32,
    0x3a,
    0,
    widthMm & 255,
    heightMm & 255,
    ((widthMm >> 8) << 4) | (heightMm >> 8),
    0,
    0,
    0x1a,
  ];
}

function text(tag: number, said: string | undefined): number[] {
  if (said === undefined) return [0, 0, 0, 0x10, 0, ...Array<number>(13).fill(0)];
  const codes = [...said].map((letter) => letter.charCodeAt(0));
  const ended = codes.length < 13 ? [...codes, 0x0a] : codes.slice(0, 13);
  return [0, 0, 0, tag, 0, ...ended, ...Array<number>(13 - ended.length).fill(0x20)];
}
