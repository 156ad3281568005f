import fc from 'fast-check';
import { baseArea, layoutOf, regionArea, wallArea } from '../src';
import { anyArea, anyCup, soundAreas } from './any-areas';

test('a thousand random layouts: areas, left over and bare parts are wall, base and handle, to 1e-9 cm²', () => {
  let laid = 0;
  fc.assert(
    fc.property(anyCup, fc.array(anyArea, { minLength: 1, maxLength: 7 }), (cup, drawn) => {
      const areas = soundAreas(cup, drawn);
      laid += areas.length;
      const layout = layoutOf(cup, areas);
      const underside = cup.shape === 'sleeve' ? 0 : baseArea(cup.stations);
      const grip = cup.handle ? (cup.handle.length * cup.handle.girth) / 100 : 0;
      const sum =
        layout.areas.reduce((all, area) => all + area.area, 0) +
        layout.leftOver.area +
        layout.bareBase +
        layout.bareGrip +
        layout.bareLip +
        layout.barePatch.area;
      const surface = wallArea(cup.stations) + underside + grip;
      expect(Math.abs(sum - surface)).toBeLessThan(1e-9);
      for (const area of layout.areas) {
        expect(area.area).toBeGreaterThanOrEqual(-1e-9);
        expect(area.area).toBeLessThanOrEqual(regionArea(cup.stations, area.own) + (area.from === null ? underside : 1e-6));
      }
    }),
    { numRuns: 1000, seed: 20261125 },
  );
  expect(laid).toBeGreaterThan(1000);
});
