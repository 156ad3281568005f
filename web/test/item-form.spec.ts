import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { startingItem, type ShelfItem, type ShelfKind } from '@aurantia/core';
import { figureAt, figuresOf, withFigure } from '../src/app/places/shelf/item-figures';
import { ItemForm } from '../src/app/places/shelf/item-form';
import { WorkshopMemory } from '../src/app/services/workshop';
import { labelled, memoryStub, typeInto } from './workshop';

const kinds: readonly ShelfKind[] = ['glitter', 'ink', 'paint', 'resin', 'glue'];

describe('the figures of an item', () => {
  test.each(kinds)('of a %s are all there and each changes alone', (kind) => {
    const item = startingItem(kind, 'x');
    for (const { path, value } of figuresOf(item)) {
      expect(typeof value).toBe('number');
      const changed = withFigure(item, path, 7);
      expect(figureAt(changed, path)).toBe(7);
      expect(withFigure(changed, path, value ?? 0)).toEqual(item);
    }
  });
  test('a ratio stays a pair', () => {
    expect(withFigure(startingItem('resin', 'x'), 'ratio.0', 2)).toMatchObject({ ratio: [2, 1] });
    expect(figuresOf(startingItem('resin', 'x'))[0].fault).toBe('ratio[0]');
  });
  test('a glue that stays sticky has no open time to type', () => {
    const sticky = { ...startingItem('glue', 'x'), open: null } as ShelfItem;
    expect(figuresOf(sticky).map((figure) => figure.label)).toEqual(['Holds, flakes deep', 'Dry after']);
  });
});

describe('the form', () => {
  async function form(item: ShelfItem) {
    const memory = memoryStub();
    TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memory }] });
    const fixture = TestBed.createComponent(ItemForm);
    fixture.componentRef.setInput('item', item);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const type = async (label: string, text: string) => {
      typeInto(labelled(root, label), text);
      await fixture.whenStable();
    };
    return { root, type, put: memory.putItem };
  }

  test('another cut brings its usual flake along', async () => {
    const { type, put } = await form(startingItem('glitter', 'x'));
    await type('Cut', '2.5');
    expect(put.mock.lastCall?.[0]).toMatchObject({ flake: { cut: 2.5, thickness: 100, solidShare: 0.26 } });
  });
  test('a share is typed in percent', async () => {
    const { type, put } = await form(startingItem('glitter', 'x'));
    await type('Opacity', '35 %');
    expect(put.mock.lastCall?.[0]).toMatchObject({ flake: { opacity: 0.35 } });
  });
  test('a faulty colour is said and not kept, a good one is', async () => {
    const { root, type, put } = await form(startingItem('paint', 'x'));
    await type('as #', 'brick');
    expect(put).not.toHaveBeenCalled();
    expect(root.querySelector('[role=alert]')?.textContent).toMatch(/six digits/);
    await type('as #', '#8C3A1F');
    expect(put).toHaveBeenCalledTimes(1);
  });
});
