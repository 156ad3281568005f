declare module 'changedpi' {
  /** The same picture, saying how many dots an inch it is meant for. */
  export function changeDpiBlob(blob: Blob, dpi: number): Promise<Blob>;
}
