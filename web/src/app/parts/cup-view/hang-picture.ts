/** Shows a picture that was painted elsewhere, its canvas made as large as it is. */
export function hangPicture(canvas: HTMLCanvasElement, picture: ImageBitmap): void {
  const { width, height } = picture;
  if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
  canvas.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
}
