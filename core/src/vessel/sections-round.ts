/** How sections of one width go round. Lengths mm along the tape. */
export interface SectionsRound {
  /** whole sections of the wanted width */
  readonly fit: number;
  /** what is left once they are laid */
  readonly sliver: number;
  /** the width that uses the cup up with as many */
  readonly equal: number;
}

/**
 * Sections of a wanted width round a circumference: `⌊c/w⌋` fit, the rest is a sliver.
 * @param circumference mm where the width is wanted
 * @param width mm, above zero
 */
export function sectionsRound(circumference: number, width: number): SectionsRound {
  // A width that was itself made by dividing must not lose a section to the last binary digit.
  const fit = Math.max(1, Math.floor(circumference / width + 1e-9));
  return { fit, sliver: Math.max(0, circumference - fit * width), equal: circumference / fit };
}

/** What a width along the tape takes of the round, degrees. */
export const degreesWide = (circumference: number, width: number): number => (360 * width) / circumference;

/** The width of one of so many equal sections at a circumference, mm. */
export const sectionWidth = (circumference: number, count: number): number => circumference / count;
