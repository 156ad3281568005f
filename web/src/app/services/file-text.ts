/** How office programs mark a text of two bytes a letter. */
const marks = [
  { mark: [0xff, 0xfe], letters: 'utf-16le' },
  { mark: [0xfe, 0xff], letters: 'utf-16be' },
];

/** A decoder of these letters; null where browsers have none of that name. */
function decoderOf(letters: string): TextDecoder | null {
  try {
    return new TextDecoder(letters);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/**
 * The text of a file that somebody brings. A table leaves many an office program in the letters of the machine's own country, not
 * in UTF-8: which these are is told by how often each comes; read as UTF-8, every name with an accent would lose it.
 */
export async function textOfFile(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const marked = marks.find(({ mark }) => mark.every((byte, at) => bytes[at] === byte));
  if (marked) return new TextDecoder(marked.letters).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
  }
  // Where the program isn't reached, nothing can tell: then it is the letters of most.
  const told = await import('chardet').catch(() => null);
  const likely = told?.analyse(bytes).flatMap(({ name }) => decoderOf(name) ?? []) ?? [];
  return (likely[0] ?? new TextDecoder('windows-1252')).decode(bytes);
}
