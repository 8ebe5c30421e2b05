/**
 * Draws a picture so small that its longest side is at most so many px; a smaller one stays as it is.
 * @param canvas what it is drawn on, in the page or in a worker
 * @throws where the file is no picture
 */
export async function drawnSmall<Canvas extends HTMLCanvasElement | OffscreenCanvas>(
  file: Blob,
  sidePx: number,
  canvas: Canvas,
): Promise<Canvas> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, sidePx / Math.max(picture.width, picture.height));
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const brush = canvas.getContext('2d') as
    | CanvasRenderingContext2D
    | OffscreenCanvasRenderingContext2D
    | null;
  brush?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas;
}
