/**
 * What is drawn on a canvas as a PNG.
 * @param what it is, for the sentence that says so when this browser can't
 */
export async function canvasPng(canvas: HTMLCanvasElement, what: string): Promise<Blob> {
  const png = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!png) throw new Error(`This browser can’t draw ${what}.`);
  return png;
}
