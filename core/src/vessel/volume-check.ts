/** Outside to inside: insulated walls take up to about half of what the readings enclose; beyond this a reading is off. */
const MOST_WALL = 2.5;

/**
 * Whether the tape readings can be those of a cup that holds so much.
 * @param enclosed ml, what the readings enclose from outside
 * @param nominal ml as sold, null when nobody knows
 * @returns a sentence for the maker
 */
export function volumeCheck(enclosed: number, nominal: number | null): string {
  if (nominal === null) return 'Type what it holds as sold, and the readings can be checked against it.';
  const readings = `The readings enclose ${enclosed.toFixed(0)} ml`;
  if (enclosed < nominal) return `${readings}, less than the ${nominal} ml it holds. One of them must be off.`;
  if (enclosed > nominal * MOST_WALL) return `${readings}, far more than a cup of ${nominal} ml can. Look at them again.`;
  return `${readings} for a cup sold as ${nominal} ml; the rest is its wall and the space in it.`;
}
