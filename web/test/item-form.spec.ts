import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { startingItem, type ShelfGroup, type ShelfItem } from '@aurantia/core';
import { figureAt, figuresOf, withFigure } from '../src/app/places/shelf/item-figures';
import { ItemForm } from '../src/app/places/shelf/item-form';
import { WorkshopMemory } from '../src/app/services/workshop';
import { labelled, memoryStub, typeInto } from './workshop';

const kinds: readonly ShelfGroup[] = ['glitter', 'ink', 'pearl', 'paint', 'resin', 'glue', 'film'];

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
  async function form(item: ShelfItem, shelf?: readonly ShelfItem[]) {
    const memory = memoryStub(shelf);
    TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memory }] });
    const fixture = TestBed.createComponent(ItemForm);
    fixture.componentRef.setInput('item', item);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const type = async (label: string, text: string) => {
      typeInto(labelled(root, label), text);
      await fixture.whenStable();
    };
    const come = async (other: ShelfItem) => {
      fixture.componentRef.setInput('item', other);
      await fixture.whenStable();
    };
    return { root, type, come, put: memory.putItem, move: memory.moveItem };
  }

  test('two inks of one name are told, however they are written; a paint of that name is another thing', async () => {
    const { root, type } = await form({ ...startingItem('ink', 'x'), name: 'Mine' }, [
      { ...startingItem('ink', 'y'), name: 'Tarn' },
      { ...startingItem('paint', 'z'), name: 'Limewash' },
    ]);
    await type('Name', 'tarn ');
    expect(root.textContent).toMatch(/Another on the shelf is called tarn\s+too/);
    await type('Name', 'Limewash');
    expect(root.textContent).not.toContain('on the shelf is called');
  });
  test('another cut brings its usual flake along', async () => {
    const { type, put } = await form(startingItem('glitter', 'x'));
    await type('Cut', '2.5');
    expect(put.mock.lastCall?.[0]).toMatchObject({ flake: { cut: 2.5, thickness: 100, solidShare: 0.26 } });
  });
  test('a jar of mixed cuts is typed cut by cut, and back to one', async () => {
    const { root, type, put } = await form(startingItem('glitter', 'x'));
    const press = async (name: RegExp) => {
      [...root.querySelectorAll('button')]
        .find((one) => name.test(one.getAttribute('aria-label') ?? one.textContent ?? ''))
        ?.click();
      await type('Lot', '');
    };
    await press(/Another cut in the jar/);
    await type('and a cut of', '1');
    await type('its share', '30');
    expect(put.mock.lastCall?.[0]).toMatchObject({ flake: { cut: 0.4, mixed: [{ cut: 1, share: 0.3 }] } });
    expect(root.textContent).toContain('70 % is left for 0.4 mm.');
    await type('its share', '130');
    expect(root.querySelector('au-mixed-cuts [role=alert]')).not.toBeNull();
    await type('its share', '20');
    await press(/^Take the cut of 1 mm out/);
    expect(put.mock.lastCall?.[0]).toMatchObject({ flake: { mixed: undefined } });
  });
  test('a film is counted in sheets, a pearl measured by its scoop', async () => {
    const film = await form(startingItem('film', 'x'));
    await film.type('Left', '4');
    expect(film.move.mock.lastCall).toEqual(['x', { why: 'counted anew', amount: 4 }]);
    await film.type('Left', '-4');
    expect(film.root.querySelector('[role=alert]')?.textContent).toMatch(/0 or more/);
    expect(film.move).toHaveBeenCalledTimes(1);
    expect(film.root.textContent).toContain('sheets');
    TestBed.resetTestingModule();
    const pearl = await form(startingItem('pearl', 'x'));
    expect(labelled(pearl.root, 'One level scoop').value).toBe('0.1');
  });
  test('a share is typed in percent', async () => {
    const { type, put } = await form(startingItem('glitter', 'x'));
    await type('Opacity', '35 %');
    expect(put.mock.lastCall?.[0]).toMatchObject({ flake: { opacity: 0.35 } });
  });
  test('what is typed wrong stays typed while another window changes the rest, and mended it takes none of that back', async () => {
    const jar: ShelfItem = { ...startingItem('glitter', 'x'), name: 'Gorse', left: 20 };
    const { root, type, come, put } = await form(jar);
    await type('Cut', '-5');
    expect(put).not.toHaveBeenCalled();
    await come({ ...jar, name: 'Broom', left: 12 });
    expect(labelled(root, 'Cut').value).toBe('-5');
    await type('Cut', '2.5');
    expect(put.mock.lastCall?.[0]).toMatchObject({ name: 'Broom', left: 12, flake: { cut: 2.5 } });
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
