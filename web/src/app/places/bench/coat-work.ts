import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  input,
  linkedSignal,
  viewChild,
} from '@angular/core';
import { amountText, listText, temperatureText, type CoatId } from '@aurantia/core';
import {
  amountRead,
  benchNotes,
  caughtOf,
  nextPour,
  reallyPoured,
  type Bench,
  type BenchCoat,
  type Make,
} from '@aurantia/core/make';
import * as z from 'zod';
import { BUTTONS } from '../../parts/buttons';
import { Icon } from '../../parts/icons/icon';
import { Beside } from '../../services/beside';
import { keepHere } from '../../services/kept-here';
import { WorkshopMemory } from '../../services/workshop';
import { WorkshopTime } from '../../services/workshop-time';
import { momentText } from '../../parts/moment-text';
import { CaughtPane } from './caught';
import { CoatTimers } from './coat-timers';
import { FromHerePane } from './from-here';
import { whileLaying } from './laying';
import { OpenMake } from './open-make';
import { OtherAmounts } from './other-amounts';
import { WeighIn } from './weigh-in';
import { NOTHING_WEIGHED, teaches, weighedEntry, weighedUpSchema, WeighUp, type WeighedUp } from './weigh-up';
import { WentWrong } from './went-wrong';

/** Where this browser keeps what isn't written down yet. */
function keyOf(what: 'poured' | 'weighed', make: Make, coat: CoatId): string;
function keyOf(what: 'poured' | 'weighed', make: Make, coat: CoatId | undefined): string | null;
function keyOf(what: 'poured' | 'weighed', { id }: Make, coat: CoatId | undefined): string | null {
  return coat === undefined ? null : `aurantia.${what}.${id}.${coat}`;
}

/** What is open beside the deed itself. */
type Aside = 'amounts' | 'caught' | 'weigh-in' | 'weigh-up' | 'wrong' | null;

/** One coat as it is done: what to do, amounts and times to be read from two metres, and one large button. */
@Component({
  selector: 'au-coat-work',
  imports: [BUTTONS, CaughtPane, CoatTimers, FromHerePane, Icon, OtherAmounts, WeighIn, WeighUp, WentWrong],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './coat-work.html',
  styleUrls: ['./tiles.scss', './coat-work.scss'],
  host: { '(document:keydown)': 'key($event)' },
})
export class CoatWork {
  private readonly injector = inject(Injector);
  private readonly memory = inject(WorkshopMemory);
  /** where what is open beside the deed ends */
  private readonly opened = viewChild<ElementRef<HTMLElement>>('end');
  private readonly time = inject(WorkshopTime);
  protected readonly beside = inject(Beside);
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
  /** as the sensor has it now, where there is one, else as it was planned for */
  protected readonly room = computed(() => {
    const { celsius, humidity, units } = this.make().settings;
    const planned = `${temperatureText(celsius, units)} · ${humidity} %`;
    const says = this.beside.devices()?.room.says;
    if (says?.says !== 'room') return planned;
    const now = `${temperatureText(says.celsius, units)}${says.humidity === null ? '' : ` · ${says.humidity} %`}`;
    return `${now} now, planned for ${planned}`;
  });
  protected readonly stalled = computed(() => this.beside.devices()?.turner.says?.says === 'stalled');
  protected readonly aside = linkedSignal<string | undefined, Aside>({
    source: this.coatId,
    computation: () => null,
  });
  /** what was typed or weighed in place of the plan, by what is measured */
  protected readonly poured = whileLaying(
    computed(() => keyOf('poured', this.make(), this.coatId())),
    z.record(z.string(), z.number().min(0)),
    {},
  );
  /** whether anything of it is weighed on a scale that stands here */
  protected readonly weighsIn = computed(() => {
    const [coat, scale] = [this.coat(), this.beside.scale()];
    return coat !== null && scale !== null && scale.reach !== 'none' && nextPour(coat.step, {}) !== null;
  });
  /** the coat that weighing teaches of: the one that is being laid, else the last that is on */
  protected readonly weighsUp = computed<BenchCoat | null>(() => {
    const coat = this.coat();
    const one = coat?.state === 'begun' ? coat : this.lastDone();
    return one && teaches(one.step) ? one : null;
  });
  /** what was weighed of that coat beyond its amounts */
  protected readonly weighed = whileLaying<WeighedUp>(
    computed(() => keyOf('weighed', this.make(), this.weighsUp()?.step.coat)),
    weighedUpSchema,
    NOTHING_WEIGHED,
  );
  protected readonly lastDone = computed(() => this.bench().coats.findLast(({ state }) => state === 'done') ?? null);
  /** the coat of glitter that is on, with some of it on the paper that nobody put back yet */
  protected readonly caught = computed<BenchCoat | null>(() => {
    const last = this.lastDone();
    const { entries } = this.open.logged() ?? { entries: [] };
    if (!last || caughtOf(this.make(), last.step, last.poured).length === 0) return null;
    const laid = entries.findLastIndex((entry) => entry.what === 'done' && entry.coat === last.step.coat);
    const back = entries.slice(laid).some((entry) => entry.what === 'kept' && entry.coat === last.step.coat);
    return back && this.aside() !== 'caught' ? null : last;
  });
  /** resin that may have set, and nobody said so yet */
  protected readonly mayHaveSet = computed(() => {
    const [last, coat] = [this.lastDone(), this.coat()];
    const { entries } = this.open.logged() ?? { entries: [] };
    if (!last?.step.mix || coat?.state === 'begun') return null;
    return entries.some((entry) => entry.what === 'set' && entry.coat === last.step.coat) ? null : last;
  });

  protected readonly amounts = computed(() => {
    const { units } = this.memory.settings();
    const poured = this.poured();
    return (this.coat()?.step.amounts ?? []).map((amount) => ({
      key: amount.key,
      name: amount.where === null ? amount.name : `${amount.name}, ${amount.where}`,
      ...amountRead(amount, reallyPoured(amount, poured), units),
      changed: amount.key in poured,
      planned: amountRead(amount, amount.amount, units).figure,
    }));
  });
  protected readonly needs = computed(() => listText(this.coat()?.step.needs ?? []));
  /** what the tiles don't say: film, pots, what sinks in */
  protected readonly lines = computed(() => this.coat()?.step.lines ?? []);
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
    return state === 'waiting' && standing.opens !== null ? momentText(standing.opens, this.time.minute()) : null;
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
    if (deed.what === 'begun') return this.open.write({ what: 'begun', coat: id });
    const [poured, weighed] = [this.poured(), coat.state === 'begun' ? weighedEntry(coat.step, this.weighed()) : null];
    this.open.write({ what: 'done', coat: id, poured }, () => {
      keepHere(keyOf('poured', this.make(), id), null);
      if (weighed) this.open.write(weighed, () => this.weighed.set(NOTHING_WEIGHED));
    });
  }

  /** What was weighed once the coat was on. */
  protected writeWeighed(): void {
    const coat = this.weighsUp();
    const entry = coat && weighedEntry(coat.step, this.weighed());
    if (entry)
      this.open.write(entry, () => {
        this.weighed.set(NOTHING_WEIGHED);
        this.aside.set(null);
      });
  }

  protected hasSet(): void {
    const last = this.mayHaveSet();
    const says = this.beside.devices()?.room.says;
    const celsius = says?.says === 'room' ? says.celsius : this.make().settings.celsius;
    if (last) this.open.write({ what: 'set', coat: last.step.coat, celsius });
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
    // What opens lies under the deeds: without this, a press seems to do nothing.
    if (this.aside() !== null)
      afterNextRender(() => this.opened()?.nativeElement.scrollIntoView({ block: 'nearest' }), { injector: this.injector });
  }

  /** A foot pedal is a keyboard of one key: Enter and Page Down do what the large button does. */
  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.repeat || (event.key !== 'Enter' && event.key !== 'PageDown')) return;
    if (target.closest('a, button, input, textarea, select, [role=option], [contenteditable], .cdk-overlay-container')) return;
    event.preventDefault();
    this.act();
  }
}
