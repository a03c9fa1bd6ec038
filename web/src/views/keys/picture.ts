import { dataUrl } from '../../ui/data-url.ts';

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
