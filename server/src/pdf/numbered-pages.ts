import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { SOFT } from './page-inks';

/** Pages that say below what they are of, and which of how many each is. */
export const numberedPages = (title: string, paper: 'A4' | 'Letter') =>
  ({
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [34, 28, 34, 32],
    info: { title },
    footer: (page, count) => ({
      text: `${title}, page ${page} of ${count}`,
      alignment: 'right',
      margin: [34, 8],
      color: SOFT,
      fontSize: 8,
    }),
  }) satisfies Partial<TDocumentDefinitions>;
