import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { countText, percentText } from '@aurantia/core';
import { ASK_WHO, rejectShare, thingNames, type MoneyWays, type Thing } from '@aurantia/core/money';
import { BUTTONS } from '../../../parts/buttons';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { TextField } from '../../../parts/fields/text-field';
import { Money } from '../../../services/money';
import { Orders } from '../../../services/orders';
import { WeekTabs } from '../week-tabs';
import { PricedDesign } from './priced-design';

/** How the workshop counts its money, and what its cups cost and earn by that. */
@Component({
  selector: 'au-money-page',
  imports: [BUTTONS, NumberField, Pick, PricedDesign, TextField, WeekTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './money-page.html',
  styleUrl: './money-page.scss',
})
export class MoneyPage {
  protected readonly money = inject(Money);
  protected readonly orders = inject(Orders);
  protected readonly askWho = ASK_WHO;
  protected readonly things = (Object.keys(thingNames) as Thing[]).map((thing) => ({ thing, name: eachNames[thing] }));
  protected readonly wrong = signal<Partial<Readonly<Record<string, string>>>>({});
  protected readonly designs = computed(() => this.orders.designs().map(({ id, name }) => ({ value: id as string, name })));
  protected readonly design = linkedSignal(() => this.designs().at(0)?.value ?? '');
  protected readonly rejects = computed(() => {
    const log = this.money.log();
    const share = rejectShare(null, log);
    return log.made + log.failed === 0
      ? 'no cup was finished or given up yet'
      : `the logbook has ${percentText(share, 1)}: ${log.failed} of ${countText(log.made + log.failed, 'cup')}`;
  });

  constructor() {
    this.money.load();
    this.orders.load();
  }

  protected set(change: Partial<MoneyWays>, key = Object.keys(change)[0]): void {
    const sentence = this.money.change(change);
    const others = Object.entries(this.wrong()).filter(([one]) => one !== key);
    this.wrong.set(Object.fromEntries(sentence === null ? others : [...others, [key, sentence]]));
  }

  protected setThing(thing: Thing, price: number | null): void {
    this.set({ things: { ...this.money.ways().things, [thing]: price } }, thing);
  }
}

/** What one of each is. */
const eachNames: Readonly<Record<Thing, string>> = {
  cup: 'A bare cup',
  gloves: 'A pair of gloves',
  pot: 'A mixing pot',
  sandpaper: 'Paper, a sanding',
  blade: 'Blades, a cut cup',
  sealer: 'Sealer, a light coat',
};
