import * as fc from 'fast-check';
import { fileNameOf } from '../src/units';

test.each([
  ['Copper Eaves', 'copper-eaves'],
  ['Łódź, 2. Versuch', 'łódź-2-versuch'],
  ['Кубок для Ольги 🌸', 'кубок-для-ольги'],
  ['さくらの杯', 'さくらの杯'],
  ['../../etc/passwd', 'etc-passwd'],
  ['🌸✨', 'design'],
  ['', 'design'],
])('“%s” is kept as %s', (name, file) => expect(fileNameOf(name, 'design')).toBe(file));

test('whatever it is called, the name is one that every disk takes', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (name) => {
      const file = fileNameOf(name, 'design');
      expect(file).toMatch(/^[\p{L}\p{N}\p{M}](?:[\p{L}\p{N}\p{M}-]*[\p{L}\p{N}\p{M}])?$/u);
      expect(new TextEncoder().encode(`${file}.aurantia.json`).length).toBeLessThan(255);
    }),
  );
});
