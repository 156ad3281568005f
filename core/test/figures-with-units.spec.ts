import { figuresWithUnits } from '../src/units';

test('no line of a page parts a figure from its unit, whatever it is a part of; words stay as they break', () => {
  const told = {
    amounts: ['3.0 ml (1.24 g) Penny Rain, 0.4 mm', 'about 14.0 ml of Brick red'],
    areas: [{ where: 'band, 62–150 mm up, 211.7 cm²', bare: '4.9 % stays bare' }],
    wait: 'Then wait 7 h 45: hard. Stir 3 min, at 21 °C',
    coats: 14,
    none: null,
    drawing: { svg: 'M2 h 5' },
    words: '9 scallops, 2 pours, 1 hand, 2 grams, 5 great ones',
  };
  const nbsp = '\u00a0';
  expect(figuresWithUnits(told)).toEqual({
    amounts: [`3.0${nbsp}ml (1.24${nbsp}g) Penny Rain, 0.4${nbsp}mm`, `about 14.0${nbsp}ml of Brick red`],
    areas: [{ where: `band, 62–150${nbsp}mm up, 211.7${nbsp}cm²`, bare: `4.9${nbsp}% stays bare` }],
    wait: `Then wait 7${nbsp}h${nbsp}45: hard. Stir 3${nbsp}min, at 21${nbsp}°C`,
    coats: 14,
    none: null,
    drawing: { svg: 'M2 h 5' },
    words: told.words,
  });
});
