/* What is printed with: words, what matters less, what matters most, lines between rows. */
export const INK = '#2A1B2E';
export const SOFT = '#6B5A66';
export const PEEL = '#C2470F';
export const LINE = '#E6DAC8';
