/** A drawing as an address that an image can be loaded from. */
export function dataUrl(svg: string): string {
  return `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
}

/** A drawing as a PNG of exactly these pixels. */
export async function pngOf(
  svg: string,
  { width, height }: { width: number; height: number },
): Promise<Blob> {
  const image = new Image();
  image.src = dataUrl(svg);
  await image.decode();
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  const context = canvas.getContext('2d');
  if (!context) throw new Error('this browser cannot draw pictures');
  context.drawImage(image, 0, 0, width, height);
  return new Promise((resolve, reject) => {
    canvas.toBlob((blob) => {
      if (blob) resolve(blob);
      else reject(new Error(`this browser cannot make a picture of ${width} × ${height} pixels`));
    }, 'image/png');
  });
}

/** Saves a file as the browser saves what is downloaded. */
export function download(name: string, file: Blob): void {
  const url = URL.createObjectURL(file);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser may only begin with it after the press is over.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
