import { ChangeDetectionStrategy, Component, inject, input, linkedSignal } from '@angular/core';
import { withFadeBegun, withFadeBetween, type AreaId, type Design, type PlannedBlend, type ShelfItemId } from '@aurantia/core';
import { JarField } from '../../../parts/jar-finder/jar-field';
import { Notices } from '../../../services/notices';
import { DesignSession } from '../../session';
import { BUTTONS } from '../../../parts/buttons';

/** What a fade is, and one press to begin it: with the blend that is here, or with two jars. */
@Component({
  selector: 'au-begin-fade',
  imports: [BUTTONS, JarField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      A fade is a gradual change of colour, laid in pots that look evenly apart: into other glitters, thinning out, or of the base
      under see-through flakes.
      {{ blend() ? 'It begins with the blend that is here.' : 'Choose the two jars it goes between; more can follow.' }}
    </p>
    @if (blend() === null) {
      <div class="jars">
        <au-jar label="From" kind="glitter" [value]="from()" (valueChange)="from.set($event)" />
        <au-jar label="To" kind="glitter" [value]="to()" (valueChange)="to.set($event)" />
      </div>
    }
    <button type="button" matButton="filled" [disabled]="blend() === null && (from() === '' || to() === '')" (click)="begin()">
      Let {{ name() }} fade
    </button>
  `,
  styles: `
    .jars {
      display: grid;
      grid-template-columns: repeat(2, minmax(0, 220px));
      gap: 12px;
    }
  `,
})
export class BeginFade {
  private readonly session = inject(DesignSession);
  private readonly notices = inject(Notices);
  readonly area = input.required<AreaId>();
  /** of the area */
  readonly name = input.required<string>();
  /** null where it has none */
  readonly blend = input.required<PlannedBlend | null>();
  protected readonly from = linkedSignal({ source: this.area, computation: () => '' });
  protected readonly to = linkedSignal({ source: this.area, computation: () => '' });

  protected begin(): void {
    const sentence = this.session.change((design) => this.begun(design));
    if (sentence !== null) this.notices.say(sentence);
  }

  private begun(design: Design): Design {
    const blend = this.blend();
    if (blend) return withFadeBegun(design, blend.area, blend.kept > 0 ? blend.kept : blend.poured);
    return withFadeBetween(design, this.area(), this.from() as ShelfItemId, this.to() as ShelfItemId);
  }
}
