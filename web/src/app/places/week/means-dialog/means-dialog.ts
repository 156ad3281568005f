import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { temperatureText } from '@aurantia/core';
import {
  blockSchema,
  dayOf,
  hoursText,
  meansSchema,
  movedText,
  typedHours,
  type Block,
  type Means,
  type Person,
  type PersonId,
} from '@aurantia/core/week';
import { format, parseISO } from 'date-fns';
import { catchError, debounceTime, map, of, startWith, switchMap } from 'rxjs';
import { v7 } from 'uuid';
import { BUTTONS } from '../../../parts/buttons';
import { DateField } from '../../../parts/fields/date-field';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { TextField } from '../../../parts/fields/text-field';
import { Icon } from '../../../parts/icons/icon';
import { Week, ZONE } from '../../../services/week';
import { WorkshopMemory } from '../../../services/workshop';
import { WorkshopTime } from '../../../services/workshop-time';
import { planText } from '../plan-words';

/** ms without another change after which it is told what would come of it. */
const TYPED = 400;
const EVERYBODY = 'all';

/** Whose hands there are and when, arms, hooks, and when nobody is there; what a change comes to is told before it is kept. */
@Component({
  selector: 'au-means-dialog',
  imports: [BUTTONS, DateField, Icon, MatDialogModule, NumberField, Pick, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './means-dialog.html',
  styleUrl: './means-dialog.scss',
})
export class MeansDialog {
  private readonly week = inject(Week);
  private readonly memory = inject(WorkshopMemory);
  private readonly time = inject(WorkshopTime);
  private readonly ref = inject<MatDialogRef<MeansDialog>>(MatDialogRef);
  protected readonly dayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
  protected readonly hoursText = hoursText;

  private readonly book = this.week.data()?.book;
  protected readonly means = signal<Means | null>(this.book?.means ?? null);
  protected readonly blocks = signal<readonly Block[]>(this.book?.blocks ?? []);
  /** by what is typed into, what is wrong with it */
  protected readonly wrong = signal<Partial<Readonly<Record<string, string>>>>({});
  protected readonly today = dayOf(Math.floor(this.time.now() / 60_000), ZONE);
  protected readonly fresh = signal({
    person: EVERYBODY,
    from: this.today,
    at: '00:00',
    until: this.today,
    to: '23:59',
    why: '',
  });

  protected readonly anyone = computed(() => [
    { value: EVERYBODY, name: 'Everybody' },
    ...(this.means()?.people ?? []).map(({ id, name }) => ({ value: id as string, name })),
  ]);
  protected readonly away = computed(() =>
    this.blocks().map((block) => ({
      id: block.id,
      says: `${this.anyone().find(({ value }) => value === (block.person ?? EVERYBODY))?.name ?? 'Somebody'}: ${daysText(block)}${block.why ? `, ${block.why}` : ''}`,
    })),
  );
  /** °C as the sensor saw the nights */
  protected readonly seen = computed(() => {
    const seen = this.week.data()?.seen;
    return seen ? { night: Number(seen.night.toFixed(1)), says: temperatureText(seen.night, this.memory.units()) } : null;
  });
  protected readonly changed = computed(
    () => this.means() !== this.book?.means || JSON.stringify(this.blocks()) !== JSON.stringify(this.book?.blocks ?? []),
  );
  private readonly change = computed(() => ({ means: this.means(), blocks: this.blocks() }));
  protected readonly comes = toSignal(
    toObservable(this.change).pipe(
      debounceTime(TYPED),
      switchMap(({ means, blocks }) =>
        means === null || !this.changed()
          ? of(null)
          : this.week.whatIf({ means, blocks: [...blocks] }).pipe(
              map(({ plan, moved }) => ({
                says: planText(plan),
                moved: moved.slice(0, 6).map(movedText),
                more: Math.max(0, moved.length - 6),
              })),
              catchError((error: unknown) => of({ says: error instanceof Error ? error.message : '', moved: [], more: 0 })),
              startWith({ says: 'Looking what comes of it…', moved: [], more: 0 }),
            ),
      ),
    ),
    { initialValue: null },
  );
  protected readonly sound = computed(() => Object.keys(this.wrong()).length === 0);

  protected setHours(person: Person, day: number, text: string): void {
    const read = typedHours(text);
    this.say(`${person.id}/${day}`, read.ok ? null : read.sentence);
    if (!read.ok) return;
    const hours = person.hours.map((own, at) => (at === day ? read.hours : own)) as Person['hours'];
    this.setPerson({ ...person, hours });
  }

  protected setPerson(person: Person): void {
    this.setMeans(
      'people',
      (this.means()?.people ?? []).map((one) => (one.id === person.id ? person : one)),
      person.id,
    );
  }

  protected addPerson(): void {
    const people = this.means()?.people ?? [];
    const [first] = people;
    const fresh: Person = {
      id: v7() as PersonId,
      name: `Hands ${people.length + 1}`,
      hours: first?.hours ?? [null, null, null, null, null, null, null],
    };
    this.setMeans('people', [...people, fresh], 'people');
  }

  protected takeOut(person: Person): void {
    this.setMeans(
      'people',
      (this.means()?.people ?? []).filter(({ id }) => id !== person.id),
      'people',
    );
  }

  protected setMeans<Field extends keyof Means>(field: Field, value: Means[Field], key: string = field): void {
    const means = this.means();
    if (!means) return;
    const read = meansSchema.safeParse({ ...means, [field]: value });
    this.say(key, read.success ? null : (read.error.issues.at(0)?.message ?? 'This can’t be taken.'));
    if (read.success) this.means.set(read.data);
  }

  protected setFresh(change: Partial<ReturnType<typeof this.fresh>>): void {
    this.fresh.set({ ...this.fresh(), ...change });
  }

  protected addBlock(): void {
    const { person, from, at, until, to, why } = this.fresh();
    const read = blockSchema.safeParse({
      id: v7(),
      person: person === EVERYBODY ? null : person,
      from: { day: from, time: at.trim().padStart(5, '0') },
      until: { day: until, time: to.trim().padStart(5, '0') },
      why,
    });
    this.say('block', read.success ? null : (read.error.issues.at(0)?.message ?? 'This can’t be taken.'));
    if (read.success) this.blocks.set([...this.blocks(), read.data]);
  }

  protected removeBlock(id: string): void {
    this.blocks.set(this.blocks().filter((block) => block.id !== id));
  }

  protected keep(): void {
    const means = this.means();
    if (!means || !this.sound()) return;
    this.week.change({ means, blocks: [...this.blocks()] });
    this.ref.close();
  }

  private say(key: string, sentence: string | null): void {
    const others = Object.entries(this.wrong()).filter(([one]) => one !== key);
    this.wrong.set(Object.fromEntries(sentence === null ? others : [...others, [key, sentence]]));
  }
}

/** Whole days without their hours. */
function daysText({ from, until }: Block): string {
  const day = (text: string) => format(parseISO(text), 'EEE d MMM');
  const [whole, rest] = [from.time === '00:00', until.time === '23:59'];
  if (from.day === until.day) return `${day(from.day)}${whole && rest ? '' : `, ${from.time}–${until.time}`}`;
  return `${day(from.day)}${whole ? '' : `, ${from.time}`} to ${day(until.day)}${rest ? '' : `, ${until.time}`}`;
}
