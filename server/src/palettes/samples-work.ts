import { sampleSheet, type Palette } from '@aurantia/core/palette';
import type { Paper } from '@aurantia/core/templates';
import { templatePdf } from '../template/template-pdf';

export interface SamplesAsked {
  readonly palette: Palette;
  readonly paper: Paper;
}

/** The sheets a palette's samples are glued on, as PDF. */
export const samplesPages = ({ palette, paper }: SamplesAsked): Promise<Uint8Array> =>
  templatePdf(`${palette.name}, samples`, sampleSheet(palette, paper));
