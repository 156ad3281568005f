/**
 * Words in lines of under so many letters; a longer word has its line to itself.
 * @param head what the first line begins with; the others are set in as far
 */
export function wrapText(text: string, width: number, head = ''): readonly string[] {
  const lines: string[] = [];
  let line = head;
  for (const word of text.split(/\s+/)) {
    if (line.length + word.length >= width && line.trim() !== head.trim()) {
      lines.push(line.trimEnd());
      line = ' '.repeat(head.length);
    }
    line += `${word} `;
  }
  return [...lines, line.trimEnd()];
}
