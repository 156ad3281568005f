import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { amountText, listText, temperatureText } from '@aurantia/core';
import {
  amountRead,
  benchNotes,
  reallyPoured,
  type Bench,
  type BenchCoat,
  type BenchTimer,
  type Make,
} from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { Icon } from '../../parts/icons/icon';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import { countdownText, momentText } from './moment-text';
import { OpenMake } from './open-make';
import { OtherAmounts } from './other-amounts';
import { WentWrong } from './went-wrong';

/** What is open beside the deed itself. */
type Aside = 'amounts' | 'wrong' | null;

/** One coat as it is done: what to do, amounts and times to be read from two metres, and one large button. */
@Component({
  selector: 'au-coat-work',
  imports: [BUTTONS, Icon, OtherAmounts, WentWrong],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './coat-work.html',
  styleUrl: './coat-work.scss',
  host: { '(document:keydown)': 'key($event)' },
})
export class CoatWork {
  private readonly memory = inject(WorkshopMemory);
  private readonly time = inject(WorkshopTime);
  protected readonly open = inject(OpenMake);
  readonly make = input.required<Make>();
  readonly bench = input.required<Bench>();

  protected readonly coat = computed<BenchCoat | null>(() => {
    const { coats, standing } = this.bench();
    return standing.at === null ? null : coats[standing.at];
  });
  /** the same second after second, as long as it is this coat: what is open and typed beside it stays */
  private readonly coatId = computed(() => this.coat()?.step.coat);
  protected readonly count = computed(() => {
    const { at, of } = this.bench().standing;
    return at === null ? '' : `Coat ${at + 1} of ${of}`;
  });
  protected readonly room = computed(() => {
    const { celsius, humidity, units } = this.make().settings;
    return `${temperatureText(celsius, units)} · ${humidity} %`;
  });
  protected readonly aside = linkedSignal<string | undefined, Aside>({
    source: this.coatId,
    computation: () => null,
  });
  /** what was typed in place of the plan, by what is measured */
  protected readonly poured = linkedSignal<string | undefined, Readonly<Record<string, number>>>({
    source: this.coatId,
    computation: () => ({}),
  });

  protected readonly amounts = computed(() => {
    const { units } = this.memory.settings();
    const poured = this.poured();
    return (this.coat()?.step.amounts ?? []).map((amount) => ({
      key: amount.key,
      name: amount.where === null ? amount.name : `${amount.name}, ${amount.where}`,
      ...amountRead(amount, reallyPoured(amount, poured), units),
      changed: amount.key in poured,
    }));
  });
  protected readonly needs = computed(() => listText(this.coat()?.step.needs ?? []));
  /** what the tiles don't say: film, pots, what sinks in */
  protected readonly lines = computed(() => this.coat()?.step.lines ?? []);
  protected readonly timers = computed(() => {
    const now = this.time.now();
    const running = this.bench().timers;
    if (running.length > 0) return running.map((timer) => this.timerRow(timer, now));
    const step = this.coat()?.step;
    const ahead = (name: string, minutes: number | null | undefined) =>
      minutes ? [{ name, reads: `${minutes} min`, then: null, state: 'ahead' }] : [];
    return [
      ...ahead('Stir', step?.stir),
      ...ahead(step?.mix ? 'On the cup within' : 'Glitter on it within', step?.within),
      ...ahead('Look again after', step?.look),
    ];
  });
  /** all of a resin together, with what of it sinks in */
  protected readonly makes = computed(() => {
    const step = this.coat()?.step;
    if (!step?.mix) return null;
    const { units } = this.memory.settings();
    const [a, b] = ['a', 'b'].map((key) => step.amounts.find((one) => one.key === key));
    if (!a || !b) return null;
    const [ml, grams] = [a, b].reduce(
      ([sum, weight], one) => {
        const really = reallyPoured(one, this.poured());
        return [sum + really, weight + really * (one.gramsPerMl ?? 1)];
      },
      [0, 0],
    );
    const { fill, times } = step.mix;
    const sinks = fill > 0.05 ? `${amountText(fill, units, grams / ml)} sinks into the glitter` : '';
    return { figure: amountText(ml, units, grams / ml), says: times > 1 ? `mixed ${times} times, one after the other` : sinks };
  });
  protected readonly notes = computed(() => {
    const logged = this.open.logged();
    const coat = this.coat();
    return logged && coat ? benchNotes(logged.make, logged.entries, coat.step.coat) : [];
  });
  protected readonly early = computed(() => {
    const { state, standing } = this.bench();
    return state === 'waiting' && standing.opens !== null ? momentText(standing.opens, this.time.now()) : null;
  });
  /** what the large button does, and says */
  protected readonly deed = computed<{ readonly says: string; readonly what: 'begun' | 'done' } | null>(() => {
    const coat = this.coat();
    if (!coat || this.bench().state === 'given up') return null;
    if (coat.step.kind === 'rest') return { says: 'It rests from now', what: 'done' };
    if (coat.state === 'begun') return { says: 'It is on', what: 'done' };
    return { says: this.early() === null ? 'Begin' : 'Begin too soon', what: 'begun' };
  });
  /** the coat that a press of “Undo” takes back: the one begun, else the last that is over */
  protected readonly undoes = computed<BenchCoat | null>(() => {
    const { coats } = this.bench();
    return coats.find(({ state }) => state === 'begun') ?? coats.findLast(({ ended }) => ended !== null) ?? null;
  });

  protected act(): void {
    const [deed, coat] = [this.deed(), this.coat()];
    if (!deed || !coat) return;
    const { coat: id } = coat.step;
    this.open.write(deed.what === 'begun' ? { what: 'begun', coat: id } : { what: 'done', coat: id, poured: this.poured() });
  }

  protected undo(): void {
    const coat = this.undoes();
    if (coat) this.open.write({ what: 'undone', coat: coat.step.coat });
  }

  protected takeUp(): void {
    this.open.write({ what: 'taken up' });
  }

  protected turn(aside: Aside): void {
    this.aside.set(this.aside() === aside ? null : aside);
  }

  /** A foot pedal is a keyboard of one key: Enter and Page Down do what the large button does. */
  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.repeat || (event.key !== 'Enter' && event.key !== 'PageDown')) return;
    if (target.closest('a, button, input, textarea, select, [role=option], [contenteditable], .cdk-overlay-container')) return;
    event.preventDefault();
    this.act();
  }

  private timerRow({ name, counts, until, then }: BenchTimer, now: number) {
    const at = momentText(until, now);
    if (now >= until) return { name: name.replace(/ in$/, ''), reads: then, then: `since ${at}`, state: 'over' };
    return {
      name,
      reads: countdownText(until - now),
      then: counts === 'for' ? `until ${at}` : `at ${at}`,
      state: until - now < 60_000 ? 'soon' : 'runs',
    };
  }
}
