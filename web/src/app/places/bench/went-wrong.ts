import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { likelyMishaps, mishapAnswer, type Bench, type BenchCoat, type Make, type Mishap } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Chips } from '../../parts/chips/chips';
import { TextField } from '../../parts/fields/text-field';
import { Tick } from '../../parts/fields/tick';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import { momentText } from '../../parts/moment-text';
import { OpenMake } from './open-make';

const names: Readonly<Record<Mishap, string>> = {
  spilt: 'Spilt',
  'over-poured': 'Poured too much',
  'too much glitter': 'Too much glitter',
  'too late': 'Too late for it',
  'too early': 'Too early on it',
  'jar missing': 'A jar is missing',
  other: 'Something else',
};

/** What went wrong, answered at once and written down; a coat left out, a make given up, a word for next time. */
@Component({
  selector: 'au-went-wrong',
  imports: [BUTTONS, Chips, TextField, Tick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>What is it?</h3>
    <au-chips label="What went wrong" [several]="false" [chips]="chips()" (pressed)="kind.set($event)" />
    @if (answer(); as says) {
      <p class="answer" role="status">{{ says }}</p>
    }
    <au-text class="wide" label="In your own words, or why" [most]="200" [value]="words()" (valueChange)="words.set($event)" />
    <au-tick [checked]="next()" (checkedChange)="next.set($event)">remind me of it at this coat next time</au-tick>
    <div class="choices">
      <button type="button" matButton="outlined" [disabled]="kind() === null && words() === ''" (click)="tell()">
        Write it down
      </button>
      <button type="button" matButton="outlined" [disabled]="words() === ''" (click)="leaveOut()">Leave this coat out</button>
      <button type="button" matButton [disabled]="words() === ''" (click)="giveUp()">Give this cup up</button>
    </div>
    @if (words() === '') {
      <p class="soft">To leave the coat out, or give the cup up, say why first.</p>
    }
  `,
  styleUrl: './aside.scss',
})
export class WentWrong {
  private readonly memory = inject(WorkshopMemory);
  private readonly time = inject(WorkshopTime);
  private readonly open = inject(OpenMake);
  readonly make = input.required<Make>();
  readonly bench = input.required<Bench>();
  readonly coat = input.required<BenchCoat>();
  readonly told = output();

  protected readonly kind = signal<Mishap | null>(null);
  protected readonly words = signal('');
  protected readonly next = signal(false);
  protected readonly chips = computed(() =>
    likelyMishaps(this.coat()).map((id) => ({ id, name: names[id], on: id === this.kind() })),
  );
  protected readonly answer = computed(() => {
    const kind = this.kind();
    return (
      kind &&
      mishapAnswer(kind, this.coat(), {
        make: this.make(),
        bench: this.bench(),
        shelf: this.memory.shelf(),
        units: this.memory.settings().units,
        clock: (moment) => momentText(moment, this.time.minute()),
      })
    );
  });

  protected tell(): void {
    const { coat } = this.coat().step;
    const [kind, words, next] = [this.kind(), this.words(), this.next()];
    const note = () => {
      if (words === '' || (kind !== null && !next)) this.told.emit();
      else this.open.write({ what: 'note', coat, text: words, next }, () => this.told.emit());
    };
    if (kind === null) note();
    else this.open.write({ what: 'mishap', coat, kind, says: words || names[kind], answer: this.answer() ?? '' }, note);
  }

  protected leaveOut(): void {
    this.open.write({ what: 'skipped', coat: this.coat().step.coat, why: this.words() }, () => this.told.emit());
  }

  protected giveUp(): void {
    this.open.write({ what: 'given up', why: this.words() }, () => this.told.emit());
  }
}
