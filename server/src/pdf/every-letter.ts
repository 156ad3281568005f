import { stretchesOf, type Stretch } from './fonts-of-letters';

type Fields = Readonly<Record<string, unknown>>;

const isFields = (one: unknown): one is Fields => typeof one === 'object' && one !== null && !Array.isArray(one);

/** What is added to how a stretch looks: nothing, where it is in our own letters, as nearly everything is. */
const inFont = ({ text, font }: Stretch, looks: Fields = {}): unknown => ({ ...looks, text, ...(font && { font }) });

const isPlain = (stretches: readonly Stretch[]): boolean => stretches.every(({ font }) => font === null);

/** A line's part in stretches that look as it did. */
function inStretches(one: unknown): readonly unknown[] {
  if (typeof one === 'string') return [textOf(one)].flat();
  if (!isFields(one)) return [one];
  if (typeof one['text'] !== 'string') return [{ ...one, text: textOf(one['text']) }];
  const stretches = stretchesOf(one['text']);
  return isPlain(stretches) ? [one] : stretches.map((stretch) => inFont(stretch, one));
}

/** The words of a paragraph. */
function textOf(text: unknown): unknown {
  if (Array.isArray(text)) return text.flatMap(inStretches);
  if (typeof text !== 'string') return text;
  const stretches = stretchesOf(text);
  return isPlain(stretches) ? text : stretches.map((stretch) => inFont(stretch));
}

/** The words of a drawing, as our own drawings write them. */
const ofDrawing = (svg: unknown): unknown =>
  typeof svg !== 'string'
    ? svg
    : svg.replace(/(?<=<text[^>]*>)[^<]+/g, (words) =>
        stretchesOf(words)
          .map(({ text, font }) => (font ? `<tspan font-family="${font}">${text}</tspan>` : text))
          .join(''),
      );

/** Fields of a page's parts that hold parts or words themselves; all others say how it looks. */
const HOLDING = new Set(['stack', 'columns', 'ul', 'ol', 'table', 'body', 'content']);

function ofField(name: string, field: unknown): unknown {
  if (name === 'text') return textOf(field);
  if (name === 'svg') return ofDrawing(field);
  return HOLDING.has(name) ? ofPart(field) : field;
}

function ofPart(one: unknown): unknown {
  if (typeof one === 'string') {
    const text = textOf(one);
    return text === one ? one : { text };
  }
  if (Array.isArray(one)) return one.map(ofPart);
  if (!isFields(one)) return one;
  return Object.fromEntries(Object.entries(one).map(([name, field]) => [name, ofField(name, field)]));
}

/**
 * What a page is made of, its words set in fonts that have their letters: a maker's names and notes are of any script,
 * and a font prints a letter that it hasn't as an empty box. A letter that none has stays one.
 */
export const withEveryLetter = <Part>(part: Part): Part => ofPart(part) as Part;
