import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import { areaSchema, planOf, startingArea, type Area, type AreaId, type AreaKindName, type Design } from '@aurantia/core';
import { AreaForm } from '../src/app/design/areas-stage/area-form/area-form';
import { SectionsTool, type SectionsAsked } from '../src/app/design/areas-stage/sections-tool/sections-tool';
import { WrapView } from '../src/app/design/areas-stage/wrap-view/wrap-view';
import { WorkshopMemory } from '../src/app/services/workshop';
import { choose, design, labelled, memoryStub, pickOf, typeInto } from './workshop';

// What draws walls while a hand drags; no hand drags here.
/** It never gets to draw anything. */
class IdleHand {
  postMessage = () => undefined;
  terminate = () => undefined;
}
Object.assign(globalThis, { Worker: IdleHand });

/** The drawing is as large as the window says; here it says so once. */
class OneSize {
  constructor(private readonly told: (entries: { contentRect: { width: number; height: number } }[]) => void) {}
  observe() {
    this.told([{ contentRect: { width: 600, height: 400 } }]);
  }
  disconnect() {
    this.told([]);
  }
}
beforeEach(() => {
  Object.assign(globalThis, {
    ResizeObserver: class extends OneSize {
      override disconnect() {
        return;
      }
    },
  });
  TestBed.configureTestingModule({ providers: [provideHttpClient(), { provide: WorkshopMemory, useValue: memoryStub() }] });
});
const workshop = () => memoryStub().workshop();
const made = (kind: AreaKindName): Area => startingArea(kind, 'x' as AreaId, 1, design.cup, 0);

describe('the form of an area', () => {
  async function form(area: Area) {
    const fixture = TestBed.createComponent(AreaForm);
    const given: Partial<Area>[] = [];
    fixture.componentInstance.changed.subscribe((one) => given.push(one));
    fixture.componentRef.setInput('area', area);
    fixture.componentRef.setInput('design', { ...design, areas: [...design.areas, area], blends: [] });
    fixture.componentRef.setInput('planned', null);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const type = async (label: string, text: string) => {
      typeInto(labelled(root, label), text);
      await fixture.whenStable();
    };
    return { fixture, root, given, type };
  }
  test.each<[AreaKindName, string, string, object]>([
    ['band', 'Lower edge', '12,5', { lower: { level: { by: 'foot', mm: 12.5 }, teeth: null } }],
    ['wedge', 'Leans', '-45', { lean: -45 }],
    ['spiral', 'Climbs a turn', '120', { pitch: 120 }],
    ['wave', 'Swings', '24', { swing: 24 }],
    ['window', 'Turned', '30', { turn: 30 }],
    ['scatter', 'How many', '75', { count: 75 }],
  ])('%s: “%s” typed is just that change', async (kind, label, text, change) => {
    const { given, type } = await form(made(kind));
    await type(label, text);
    expect(given).toEqual([change]);
    expect(areaSchema.safeParse({ ...made(kind), ...given[0] }).success).toBe(true);
  });
  test('an edge counted another way stays where it is', async () => {
    const { fixture, given } = await form(design.areas[1]);
    await choose(fixture, 'How lower edge is counted', 'below coats’ end');
    await choose(fixture, 'How lower edge is counted', 'of the wall');
    expect(given).toEqual([
      { lower: { level: { by: 'rim', mm: 90 }, teeth: null } },
      { lower: { level: { by: 'share', share: 0.4706 }, teeth: null } },
    ]);
  });
  test('a plain edge gets teeth, whole ones, and loses them again', async () => {
    const { fixture, root, given } = await form(design.areas[0]);
    await choose(fixture, 'Cut above', 'scallops');
    expect(given[0]).toMatchObject({ upper: { teeth: { line: 'scallop', count: 12, depth: 10 } } });
    fixture.componentRef.setInput('area', { ...design.areas[0], ...given[0] });
    await fixture.whenStable();
    typeInto(labelled(root, 'Teeth'), '9');
    expect(given[1]).toMatchObject({ upper: { teeth: { line: 'scallop', count: 9 } } });
    await choose(fixture, 'Cut above', 'straight');
    expect(given[2]).toMatchObject({ upper: { teeth: null } });
  });
  test('a scatter is sent into another area, or anywhere', async () => {
    const { fixture, given } = await form(made('scatter'));
    const where = await pickOf(fixture, 'Where');
    await where.open();
    const offered = await Promise.all((await where.getOptions()).map((option) => option.getText()));
    expect(offered).toEqual(['anywhere', 'in Low', 'in High']);
    await where.clickOptions({ text: 'in Low' });
    await choose(fixture, 'Where', 'anywhere');
    expect(given).toEqual([{ inside: 'low' }, { inside: null }]);
  });
  test('what was refused is said, and that nothing changed', async () => {
    const { fixture, root } = await form(made('wave'));
    fixture.componentRef.setInput('refused', 'It dips below the foot.');
    await fixture.whenStable();
    expect(root.querySelector('[role=alert]')?.textContent?.trim()).toBe('It dips below the foot. It stays as it was.');
  });
});

describe('the tool for sections', () => {
  async function tool() {
    const fixture = TestBed.createComponent(SectionsTool);
    const asked: SectionsAsked[] = [];
    fixture.componentInstance.asked.subscribe((one) => asked.push(one));
    fixture.componentRef.setInput('design', design);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const press = async (text: string) => {
      [...root.querySelectorAll('button')].find((button) => button.textContent?.trim() === text)?.click();
      await fixture.whenStable();
    };
    const type = async (label: string, text: string) => {
      typeInto(labelled(root, label), text);
      await fixture.whenStable();
    };
    return { root, asked, press, type };
  }
  test('so many go round evenly, leaning if asked', async () => {
    const { root, asked, press, type } = await tool();
    await type('Sections round', '8');
    await type('Lean', '30');
    expect(root.textContent).toMatch(/Each 27\.5 mm\s+wide at the foot/);
    await press('Lay 8 sections');
    expect(asked).toEqual([{ count: 8, width: 45, lean: 30 }]);
  });
  test('of a wanted width: what fits, the sliver, and both ways to go on', async () => {
    const { root, asked, press, type } = await tool();
    await type('Each wide', '50');
    expect(root.textContent).toMatch(/4 sections fit, leaving a sliver of 20 mm\. Made equal, each is 55 mm/);
    await press('Make 4 equal');
    await press('Lay 4 and leave the sliver');
    expect(asked[0]).toEqual({ count: 4, width: 90, lean: 0 });
    expect(asked[1].width).toBeCloseTo((360 * 50) / 220, 9);
  });
  test('no half sections, and none wider than the cup', async () => {
    const { root, type } = await tool();
    const lay = () => root.querySelector<HTMLButtonElement>('button[matbutton=filled]');
    await type('Sections round', '2.5');
    expect(root.querySelector('[role=alert]')?.textContent).toMatch(/Whole sections/);
    expect(lay()?.disabled).toBe(true);
    await type('Sections round', '3');
    expect(lay()?.disabled).toBe(false);
    await type('Each wide', '900');
    expect(lay()?.disabled).toBe(true);
  });
});

describe('the wall laid flat', () => {
  async function wrap(one: Design, chosen: string) {
    const fixture = TestBed.createComponent(WrapView);
    fixture.componentRef.setInput('design', one);
    fixture.componentRef.setInput('plan', planOf(one, workshop()));
    fixture.componentRef.setInput('chosen', chosen);
    await fixture.whenStable();
    return { fixture, root: fixture.nativeElement as HTMLElement };
  }
  test('has every area in its colour, and the chosen one’s handles where the wall has them', async () => {
    const { root } = await wrap(design, 'low');
    expect(root.querySelector('canvas')?.getAttribute('aria-label')).toMatch(/seam at both sides: Left over, Low, High$/);
    const sliders = [...root.querySelectorAll('[role=slider]')];
    expect(sliders.map((slider) => slider.getAttribute('aria-label'))).toEqual(['Lower edge of Low', 'Upper edge of Low']);
    expect(sliders.map((slider) => slider.getAttribute('aria-valuetext'))).toEqual([
      '0 mm above the foot',
      '80 mm above the foot',
    ]);
    expect(root.querySelector('.bubble')?.textContent).toBe('from 0 mm');
  });
  test('a place of the drawing is a place of the wall, and back', async () => {
    const { fixture, root } = await wrap(design, 'low');
    const [x, y] = [...(root.querySelectorAll('.handle')[1].getAttribute('style') ?? '').matchAll(/([\d.]+)px/g)].map(([, px]) =>
      Number(px),
    );
    const place = fixture.componentInstance.wallAt(x, y);
    expect(place.angle).toBeCloseTo(180, 3);
    expect(place.height).toBeCloseTo(80, 3);
  });
  test('keys step a handle by one or ten, round or up as it goes', async () => {
    const sections: Design = { ...design, blends: [], areas: [made('wedge')] };
    const { fixture, root } = await wrap(sections, 'x');
    const moves: object[] = [];
    fixture.componentInstance.moved.subscribe((move) => moves.push(move));
    const slider = root.querySelector('[aria-label="Left edge of Section 1"]');
    const key = (name: string, shiftKey = false) => slider?.dispatchEvent(new KeyboardEvent('keydown', { key: name, shiftKey }));
    key('ArrowRight');
    key('ArrowDown', true);
    key('a');
    expect(moves).toEqual([
      { key: 'start', by: { angle: 1, height: 0 } },
      { key: 'start', by: { angle: -10, height: 0 } },
    ]);
  });
  test('a locked area shows no handles', async () => {
    const locked: Design = { ...design, areas: [{ ...design.areas[0], locked: true }, design.areas[1]] };
    const { fixture, root } = await wrap(locked, 'low');
    expect(root.querySelectorAll('[role=slider]')).toHaveLength(0);
    fixture.componentRef.setInput('chosen', 'high');
    await fixture.whenStable();
    expect(root.querySelectorAll('[role=slider]')).toHaveLength(2);
  });
});
