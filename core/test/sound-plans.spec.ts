import fc from 'fast-check';
import { cardOf, cardText, createPlanner, planOf } from '../src';
import { templatesOf, templateSvg, usualWishes } from '../src/templates';
import { anyDesign, anyWorkshop } from './any-design';
import { demoFile, demoNames } from './workshop';

/** Where in a plan there is no number, or a word that only a fault of ours writes. */
function unsound(value: unknown, path = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : `${path} is ${value}`;
  if (typeof value === 'string') return /NaN|Infinity|undefined|\[object/.test(value) ? `${path}: ${value}` : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    // A film or flake's own data is endless in no design; looks are the picture's.
    const found = unsound(inner, `${path}.${key}`);
    if (found) return found;
  }
  return null;
}

test('no plan of any accepted design, and nothing worded from it, holds a NaN, an infinity or the word', () => {
  fc.assert(
    fc.property(anyDesign, anyWorkshop, (design, workshop) => {
      const plan = planOf(design, workshop);
      expect(unsound(plan)).toBeNull();
      expect(unsound(cardText(cardOf(plan, design, workshop.settings)))).toBeNull();
      for (const offer of templatesOf(design, plan).slice(0, 4))
        expect(unsound(templateSvg(offer.draw({ ...usualWishes, straight: true })))).toBeNull();
    }),
    { numRuns: 90, seed: 20261126 },
  );
});

test('a plan comes out the same whatever was planned before it', () => {
  for (const name of demoNames) {
    const { design, settings, shelf } = demoFile(name);
    const fresh = createPlanner()(design, { settings, shelf });
    expect(JSON.stringify(planOf(design, { settings, shelf }))).toBe(JSON.stringify(fresh));
  }
});
