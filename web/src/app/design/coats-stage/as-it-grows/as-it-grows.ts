import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject } from '@angular/core';
import { growthOf } from '@aurantia/core/section';
import { BUTTONS } from '../../../parts/buttons';
import { Slider } from '../../../parts/fields/slider';
import { Notices } from '../../../services/notices';
import { saveBlob } from '../../../services/save-file';
import { OpenDesign } from '../../open-design';
import { growthPng } from './draw-growth';

/** The colour of each place after each coat, from the bare wall to the finished cup; the cup beside it goes along. */
@Component({
  selector: 'au-as-it-grows',
  imports: [BUTTONS, Slider],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './as-it-grows.html',
  styleUrl: './as-it-grows.scss',
})
export class AsItGrows {
  private readonly open = inject(OpenDesign);
  private readonly notices = inject(Notices);
  protected readonly growth = computed(() => growthOf(this.open.plan()));
  /** which of the steps is shown, the last one for the finished cup */
  protected readonly at = computed(() => {
    const { steps } = this.growth();
    const at = steps.findIndex(({ coats }) => coats === this.open.upTo());
    return at < 0 ? steps.length - 1 : at;
  });
  protected readonly now = computed(() => this.growth().steps[this.at()]);
  protected readonly says = computed(() => {
    const { coats, title } = this.now();
    return coats === 0 ? title : `After coat ${coats}: ${title}`;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.open.upTo.set(null));
  }

  protected move(to: number): void {
    const { steps } = this.growth();
    this.open.upTo.set(to === steps.length - 1 ? null : steps[to].coats);
  }

  protected async save(): Promise<void> {
    const { name } = this.open.design();
    try {
      saveBlob(`${name}, as it grows.png`, await growthPng(name, this.growth()));
    } catch (error) {
      this.notices.failed(error);
    }
  }
}
