import type { Content } from 'pdfmake/interfaces';
import { withEveryLetter } from '../src/pdf/every-letter';
import { stretchesOf } from '../src/pdf/fonts-of-letters';
import { pdfOf } from '../src/pdf/pdf-maker';
import { demoFile, running } from './memory';

/** Names a maker may give: for whom a cup is, what is on it. */
const names = [
  'Кубок для Ольги',
  'Ψάρι',
  'Nguyễn Đặng',
  'Łódź ½ → ★',
  'さくら 桜',
  '陈静 陳靜',
  '김민수',
  'สวัสดี',
  'नमस्ते',
  'שלום עולם',
  'مرحبا بالعالم',
  'Rose 🌸☕ 👩🏽‍🎨 ❤️',
];

/** What a page draws, unpacked: a letter without a shape is drawn as glyph 0. */
async function drawn(content: Content): Promise<string> {
  const pdf = await pdfOf({ content, defaultStyle: { font: 'Figtree' }, compress: false });
  return pdf.toString('latin1');
}
const withoutShape = (pdf: string): boolean =>
  [...pdf.matchAll(/<([\da-f]+)>(?=[^\n<>]*(?:<[\da-f]+>[^\n<>]*)*\] ?TJ)/g)].some(([, glyphs]) => /^(?:.{4})*0000/.test(glyphs));

test.each(names)('%s is printed with a shape for each letter, thin and bold, as a title and in a drawing', async (name) => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 9"><text x="1" y="8" font-family="Figtree" font-size="4">${name}</text></svg>`;
  const page = await drawn([name, { text: name, bold: true }, { text: [name, { text: name, font: 'Bricolage' }] }, { svg }]);
  expect(withoutShape(page)).toBe(false);
});

test('a letter that no font has is a box among the others, and loses nothing', async () => {
  expect(withoutShape(await drawn('Uruk 𒀀'))).toBe(true);
  expect(stretchesOf('Uruk 𒀀 Кубок')).toEqual([
    { text: 'Uruk 𒀀 ', font: null },
    { text: 'Кубок', font: 'Noto Sans' },
  ]);
});

test.each(['', '  ', 'two  spaces\nand a line', `${names.join(', ')}.`])('every letter of “%s” stays, in its order', (name) => {
  const whole = stretchesOf(name)
    .map(({ text }) => text)
    .join('');
  expect(whole.replaceAll('\u00a0', ' ')).toBe(name);
});

test('words from right to left are one stretch, so that a line doesn’t turn them round', () => {
  expect(stretchesOf('for שלום עולם!')).toEqual([
    { text: 'for ', font: null },
    { text: 'שלום\u00a0עולם!', font: 'Noto Sans Hebrew' },
  ]);
});

test('what is set in our own letters stays the very same page', () => {
  const page = { stack: ['Rust Road 4.0 ml', { text: ['a', { text: 'b', bold: true }] }, { ul: ['c'] }], color: '#000' };
  expect(withEveryLetter(page)).toEqual(page);
});

test('a stretch looks as the words around it do', () => {
  const page = { table: { widths: ['*'], body: [[{ text: [{ text: 'for Ольга', bold: true, color: '#111' }, ' and you'] }]] } };
  const [[cell]] = withEveryLetter(page).table.body;
  expect(cell.text).toEqual([
    { text: 'for ', bold: true, color: '#111' },
    { text: 'Ольга', bold: true, color: '#111', font: 'Noto Sans' },
    ' and you',
  ]);
});

test('a card over the wire names its cup in letters that it brings along, and so does its file', async () => {
  const server = await running();
  const { design } = demoFile('copper-eaves');
  await server.ask('POST', '/api/designs/', { ...design, name: 'Кубок 桜' });
  const { status, headers, body } = await server.ask('GET', `/api/designs/${design.id}/card.pdf`);
  await server.stop();
  expect(status).toBe(200);
  expect(headers['content-disposition']).toContain(`filename*=UTF-8''${encodeURIComponent('кубок-桜-card.pdf')}`);
  expect(String(body)).toMatch(/BaseFont \/\w+\+NotoSans-Bold/);
  expect(String(body)).toMatch(/BaseFont \/\w+\+ChocolateClassicalSans/);
});
