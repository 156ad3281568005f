/** A space between a figure and the unit it is read with; “7 h 45” is one figure too. */
const BETWEEN = /(?<=\d) (?=(?:ml|g|mm|cm²?|in²?|oz|tsp|°C|°F|%|h|min)(?![a-z]))|(?<=\d h) (?=\d)/g;

/** Text that a line never breaks between a figure and its unit. */
const heldTogether = (text: string): string => text.replaceAll(BETWEEN, '\u00a0');

/** Fields that hold no words: a drawing's own text says where its lines go, a picture is letters by the million. */
const DRAWN = new Set(['svg', 'image']);

/** The same of all words in what a page is made of, plain lists and records, however they are nested. */
export function figuresWithUnits<Content>(content: Content): Content {
  const held = (one: unknown): unknown => {
    if (typeof one === 'string') return heldTogether(one);
    if (Array.isArray(one)) return one.map(held);
    if (one === null || typeof one !== 'object') return one;
    return Object.fromEntries(Object.entries(one).map(([name, field]) => [name, DRAWN.has(name) ? field : held(field)]));
  };
  return held(content) as Content;
}
