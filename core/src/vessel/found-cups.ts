import type { Cup } from './cup';
import { cupKinds } from './cup-kind';

/** Those among kept cups whose name, shape and wall have each of the words; all of them for none. */
export function foundCups<Kept extends { readonly cup: Cup }>(cups: readonly Kept[], search: string): readonly Kept[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return cups;
  return cups.filter(({ cup }) => {
    const said = `${cup.name} ${cupKinds[cup.shape].name} ${cup.material}`.toLowerCase();
    return words.every((word) => said.includes(word));
  });
}
