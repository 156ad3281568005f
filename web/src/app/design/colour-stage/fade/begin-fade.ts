import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { withFadeBegun, type PlannedBlend } from '@aurantia/core';
import { Notices } from '../../../services/notices';
import { DesignSession } from '../../session';

/** What a fade is, for an area that has a blend; one press begins it. */
@Component({
  selector: 'au-begin-fade',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      A fade is a gradual change of colour, laid in pots that look evenly apart: into other glitters, thinning out, or of the base
      under see-through flakes. It begins with the blend that is here.
    </p>
    <button type="button" class="act" (click)="begin()">Let {{ blend().areaName }} fade</button>
  `,
})
export class BeginFade {
  private readonly session = inject(DesignSession);
  private readonly notices = inject(Notices);
  readonly blend = input.required<PlannedBlend>();

  protected begin(): void {
    const { area, kept, poured } = this.blend();
    const sentence = this.session.change((design) => withFadeBegun(design, area, kept > 0 ? kept : poured));
    if (sentence !== null) this.notices.say(sentence);
  }
}
