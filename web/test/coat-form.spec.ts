import { provideHttpClient } from '@angular/common/http';
import { TestBed } from '@angular/core/testing';
import type { Coat } from '@aurantia/core';
import { CoatForm } from '../src/app/design/coats-stage/coat-form';
import { JarFinding } from '../src/app/parts/jar-finder/jar-finding';
import { WorkshopMemory } from '../src/app/services/workshop';
import { design, labelled, memoryStub, typeInto } from './workshop';

const choose = jest.fn();

async function form(coat: Coat) {
  TestBed.configureTestingModule({
    providers: [
      provideHttpClient(),
      { provide: WorkshopMemory, useValue: memoryStub() },
      { provide: JarFinding, useValue: { choose } },
    ],
  });
  const fixture = TestBed.createComponent(CoatForm);
  const given: Coat[] = [];
  fixture.componentInstance.coatChange.subscribe((one) => given.push(one));
  fixture.componentRef.setInput('coat', coat);
  fixture.componentRef.setInput('design', design);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const press = async (text: string) => {
    [...root.querySelectorAll('button')].find((button) => button.textContent?.trim() === text)?.click();
    await fixture.whenStable();
  };
  return { fixture, root, given, press };
}
const [base, , resin] = design.coats;

test('a film typed is a coat given; one that is none is refused in a sentence', async () => {
  const { fixture, root, given } = await form(resin);
  typeInto(labelled(root, 'Film'), '0,35');
  expect(given).toEqual([{ ...resin, thickness: 0.35 }]);
  typeInto(labelled(root, 'Film'), '7');
  await fixture.whenStable();
  expect(root.querySelector('[role=alert]')?.textContent).toMatch(/over 3 mm is no coat/);
  expect(given).toHaveLength(1);
});

test('where it goes: one area, both, and back to the whole cup when none is left', async () => {
  const { given, press } = await form(resin);
  await press('High');
  await press('Low');
  await press('The whole cup');
  expect(given.map((coat) => ('on' in coat ? coat.on : null))).toEqual([['low', 'high'], 'all', 'all']);
});

test('a coat on everything, narrowed, starts from the area that was pressed', async () => {
  const { given, press } = await form(base);
  await press('High');
  expect(given[0]).toMatchObject({ on: ['high'] });
});

test('jars are chosen from the shelf; one that is gone asks to choose', async () => {
  const { root, given, press } = await form({ ...base, paint: 'gone' } as Coat);
  expect(root.querySelector('au-jar')?.textContent).toMatch(/Paint\s*choose one/);
  choose.mockResolvedValueOnce(null);
  await press('choose one');
  expect(given).toEqual([]);
  choose.mockResolvedValueOnce(
    memoryStub()
      .shelf()
      .find(({ id }) => id === 'paint'),
  );
  await press('choose one');
  expect(choose).toHaveBeenLastCalledWith({ kind: 'paint', near: null, nearWhat: '' });
  expect(given[0]).toMatchObject({ paint: 'paint' });
});

test('the number of coats is whole', async () => {
  const { fixture, root, given } = await form(base);
  typeInto(labelled(root, 'How many coats'), '1.5');
  await fixture.whenStable();
  expect(given).toEqual([]);
  expect(root.querySelector('[role=alert]')).not.toBeNull();
});
