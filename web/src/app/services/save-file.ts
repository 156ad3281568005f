import { forSpreadsheets } from '@aurantia/core';

/** Hands the maker a file made on this page; the browser asks where to, or keeps it with the downloads. */
export function saveBlob(name: string, blob: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

export function saveText(
  name: string,
  text: string,
  type: 'text/plain' | 'text/csv' | 'application/json' | 'image/svg+xml',
): void {
  saveBlob(name, new Blob([type === 'text/csv' ? forSpreadsheets(text) : text], { type }));
}
