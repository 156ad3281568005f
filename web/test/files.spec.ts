import { Blob as WholeBlob } from 'node:buffer';
import { shelfCsv, readShelfTable } from '@aurantia/core/shelf-table';
import { startingItem } from '@aurantia/core';
import { saveText } from '../src/app/services/save-file';
import { textOfFile } from '../src/app/services/file-text';

// The page of the tests has none whose bytes can be read.
beforeAll(() => void Object.assign(globalThis, { Blob: WholeBlob }));

const file = (...bytes: (number[] | string)[]): Blob =>
  new Blob(bytes.map((part) => (typeof part === 'string' ? part : Uint8Array.from(part))));

/** Letters of one byte each, as a machine of some country keeps them. */
const inBytes = (text: string, first: string, at: number): number[] =>
  [...text].map((letter) => {
    const code = letter.charCodeAt(0);
    return code < 0x80 ? code : code - first.charCodeAt(0) + at;
  });

describe('a file’s text', () => {
  const table = 'Name;Colour\r\nCrème brûlée;#eeddaa\r\nRosé;#aa0033\r\n';
  test('of UTF-8, marked as such or not', async () => {
    expect(await textOfFile(file(table))).toBe(table);
    expect(await textOfFile(file([0xef, 0xbb, 0xbf], table))).toBe(table);
  });
  test('of two bytes a letter, either way round', async () => {
    const codes = [...table].map((letter) => letter.charCodeAt(0));
    expect(
      await textOfFile(
        file(
          [0xff, 0xfe],
          codes.flatMap((code) => [code & 255, code >> 8]),
        ),
      ),
    ).toBe(table);
    expect(
      await textOfFile(
        file(
          [0xfe, 0xff],
          codes.flatMap((code) => [code >> 8, code & 255]),
        ),
      ),
    ).toBe(table);
  });
  test('of the letters of a country: western, and Cyrillic', async () => {
    expect(await textOfFile(file(inBytes(table, '\0', 0)))).toBe(table);
    const cyrillic = 'Название;Цвет\r\nМедный дождь;#aa5533\r\nЛесной мох;#225533\r\n';
    expect(await textOfFile(file(inBytes(cyrillic, 'А', 0xc0)))).toBe(cyrillic);
  });
  test('of nothing at all, or of no letters', async () => {
    expect(await textOfFile(file(''))).toBe('');
    expect(typeof (await textOfFile(file([0x89, 0x50, 0x4e, 0x47, 0xff, 0xd8, 0, 0, 1])))).toBe('string');
  });
});

describe('a file that is handed out', () => {
  let handed: Blob[];
  beforeEach(() => {
    handed = [];
    URL.createObjectURL = (one: Blob) => `blob:${handed.push(one)}`;
    URL.revokeObjectURL = () => undefined;
    jest.spyOn(HTMLAnchorElement.prototype, 'click').mockReturnValue();
  });
  const bytes = async () => new Uint8Array(await handed[0].arrayBuffer());

  test('as a table says that it is of UTF-8, and comes in again as it was', async () => {
    const jar = { ...startingItem('glitter', '018f'), name: 'Crème ½' };
    saveText('shelf.csv', shelfCsv([jar]), 'text/csv');
    expect([...(await bytes()).slice(0, 3)]).toEqual([0xef, 0xbb, 0xbf]);
    expect(readShelfTable(await textOfFile(handed[0])).rows[0]).toContain('Crème ½');
  });
  test('as JSON holds nothing but JSON', async () => {
    saveText('cups.json', '{}', 'application/json');
    expect([...(await bytes())]).toEqual([0x7b, 0x7d]);
  });
});
