import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { BUTTONS } from '../../parts/buttons';
import { Beside } from '../../services/beside';

/** g a second while a bottle is held over the pot; and g of the pot. */
const FLOWS = { pour: 4, drip: 0.7 } as const;
const POT = 18.2;

/** What hands do at a scale that isn't there: it pours for as long as a button is held. */
@Component({
  selector: 'au-simulated-hands',
  imports: [BUTTONS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>The scale is simulated. Hold a button to pour.</p>
    @for (hand of hands; track hand.does) {
      <button
        type="button"
        matButton="outlined"
        (pointerdown)="flow(hand.flow)"
        (pointerup)="flow(0)"
        (pointerleave)="flow(0)"
        (pointercancel)="flow(0)"
        (keydown.enter)="flow(hand.flow)"
        (keydown.space)="flow(hand.flow)"
        (keyup.enter)="flow(0)"
        (keyup.space)="flow(0)"
        (blur)="flow(0)"
      >
        {{ hand.does }}
      </button>
    }
    <button type="button" matButton (click)="put()">Put a pot on</button>
    <button type="button" matButton (click)="beside.simulate('scale', 'clear')">Take all off</button>
    <button type="button" matButton (click)="beside.simulate('scale', 'pull out')">Pull its plug</button>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 14px;
      align-items: center;
      padding: 10px 14px;
      border: 1px dashed var(--field-edge);
      border-radius: 8px;
    }
    p {
      margin: 0;
      color: var(--soft);
    }
    button {
      min-height: 48px;
      touch-action: none;
    }
  `,
  host: { role: 'group', 'aria-label': 'Simulated scale' },
})
export class SimulatedHands {
  protected readonly beside = inject(Beside);
  protected readonly hands = [
    { does: 'Pour', flow: FLOWS.pour },
    { does: 'Pour a thin thread', flow: FLOWS.drip },
  ];
  private flows = 0;

  protected flow(grams: number): void {
    if (grams === this.flows) return;
    this.flows = grams;
    this.beside.simulate('scale', `flow ${grams}`);
  }

  protected put(): void {
    this.beside.simulate('scale', `put ${POT}`);
  }
}
