const WORDS = [
  'constructor',
  '__proto__',
  'prototype',
  'null',
  '-1',
  '1e308',
  '1e-320',
  'NaN',
  '""',
  '[]',
  '{}',
  '\u0000',
  '\ud800',
  '..',
  '%00',
  '999999999',
  '0.0000001',
  "'=1+1\n",
  '\uFEFF',
];

const at = (length: number, random: () => number): number => Math.floor(random() * (length + 1));

/** A text spoilt in one to four places: cut, doubled, swapped, a number or a word changed. */
export function mutated(source: string, random: () => number): string {
  let text = source;
  for (let times = 1 + Math.floor(random() * 4); times > 0; times -= 1) text = once(text, random);
  return text;
}

function once(text: string, random: () => number): string {
  const [from, to] = [at(text.length, random), at(text.length, random)].sort((a, b) => a - b);
  const word = WORDS[Math.floor(random() * WORDS.length)];
  switch (Math.floor(random() * 7)) {
    case 0:
      return text.slice(0, from);
    case 1:
      return text.slice(0, from) + text.slice(Math.min(to, from + 40));
    case 2:
      return text.slice(0, to) + text.slice(from, Math.min(to, from + 400)) + text.slice(to);
    case 3:
      return text.slice(0, from) + word + text.slice(from);
    case 4: {
      // One number of the text becomes another.
      const numbers = [...text.matchAll(/-?\d+(?:\.\d+)?/g)];
      const one = numbers[Math.floor(random() * numbers.length)];
      if (!one) return text;
      const value = [0, -1, 1e9, 1e-9, 0.5, Number(one[0]) * 100, -Number(one[0]), Number(one[0]) + 0.001][
        Math.floor(random() * 8)
      ];
      return text.slice(0, one.index) + String(value) + text.slice(one.index + one[0].length);
    }
    case 5: {
      const names = [...text.matchAll(/"[^"]{1,40}"/g)];
      const one = names[Math.floor(random() * names.length)];
      return one ? `${text.slice(0, one.index)}"${word.replace(/["\n]/g, '')}"${text.slice(one.index + one[0].length)}` : text;
    }
    default:
      return text.slice(0, from) + String.fromCharCode(Math.floor(random() * 65536)) + text.slice(from + 1);
  }
}

/** Bytes with some changed, or cut short. */
export function mutatedBytes(source: Uint8Array, random: () => number): Uint8Array {
  const bytes = Uint8Array.from(random() < 0.3 ? source.slice(0, at(source.length, random)) : source);
  for (let times = Math.floor(random() * 6); times > 0 && bytes.length > 0; times -= 1)
    bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
  return bytes;
}
