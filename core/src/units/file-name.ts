/** So many letters fit a file's name on every disk, whatever the script: 255 bytes, four a letter at most. */
const LONGEST = 56;

/**
 * What a file is called that holds something with a name: the name's letters and digits, of any script, small, joined by dashes.
 * @param otherwise where the name has neither
 */
export function fileNameOf(name: string, otherwise: string): string {
  const words =
    name
      .normalize('NFC')
      .toLowerCase()
      .match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];
  return [...words.join('-')].slice(0, LONGEST).join('').replace(/-$/, '') || otherwise;
}
