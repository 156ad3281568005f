import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { coatedHeight, decalFit, type Coat, type CoatId, type Decal, type Design } from '@aurantia/core';
import { v7 } from 'uuid';
import { NumberField } from '../../../parts/fields/number-field';
import { LengthPipe } from '../../../parts/fields/unit-pipes';
import { DesignSession } from '../../session';

/** Where a flat decal comes to lie: how far it wraps, where its middle goes, and whether it lies down. */
@Component({
  selector: 'au-decal-planner',
  imports: [NumberField, LengthPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Decal planner</h3>
    <div class="fields">
      <au-number label="Wide" measure="length" [value]="decal().width" (valueChange)="set({ width: $event ?? 0 })" />
      <au-number label="Tall" measure="length" [value]="decal().height" (valueChange)="set({ height: $event ?? 0 })" />
      <au-number
        label="Middle above the foot"
        measure="length"
        [value]="decal().centre"
        (valueChange)="set({ centre: $event ?? 0 })"
      />
      <au-number label="From the seam" unitName="°" [value]="decal().angle" (valueChange)="set({ angle: $event ?? 0 })" />
    </div>
    @if (wrong(); as sentence) {
      <p class="wrong-note" role="alert">{{ sentence }}</p>
    } @else {
      <p>
        Wraps <b>{{ fit().wrap.toFixed(0) }}°</b>. Its middle lies <b>{{ fit().centreFromSeam | length }}</b> from the seam by the
        tape, its left edge <b>{{ fit().leftFromSeam | length }}</b>.
      </p>
      @for (sentence of fit().says; track sentence) {
        <p class="soft">{{ sentence }}</p>
      }
      @if (fit().slits > 0) {
        <p>
          <b>{{ fit().slits }} slits</b>, {{ fit().slitDepth | length }} deep, half from above, half from below.
        </p>
      }
      <button type="button" class="plain" (click)="lay()">Lay it as a coat</button>
    }
    @if (said()) {
      <p class="soft" role="status">{{ said() }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      padding: 10px;
      border: 1px solid var(--line);
      border-radius: 8px;
      justify-items: start;
    }
    .fields {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
      width: 100%;
      align-items: end;
    }
  `,
})
export class DecalPlanner {
  private readonly session = inject(DesignSession);
  readonly design = input.required<Design>();
  protected readonly decal = linkedSignal<Decal>(() => ({
    width: 70,
    height: 50,
    centre: Math.round(coatedHeight(this.design().cup) / 2),
    angle: 180,
  }));
  protected readonly said = signal('');
  protected readonly wrong = computed(() => {
    const { width, height, centre, angle } = this.decal();
    if (width < 1 || height < 1 || width > 800 || height > 800) return 'A decal is 1 to 800 mm wide and tall.';
    if (centre < 0 || centre > coatedHeight(this.design().cup)) return 'Its middle must lie on the coated wall.';
    return angle < 0 || angle > 360 ? 'An angle is 0 to 360°, from the seam.' : null;
  });
  protected readonly fit = computed(() => decalFit(this.design().cup.stations, this.decal()));

  protected set(change: Partial<Decal>): void {
    this.said.set('');
    this.decal.update((decal) => ({ ...decal, ...change }));
  }

  /** Before the last resin, which closes over it; at the end where there is none. */
  protected lay(): void {
    const coat: Coat = { kind: 'decal', id: v7() as CoatId, note: '', name: 'Decal', ...this.decal() };
    const refused = this.session.change((design) => {
      const last = design.coats.findLastIndex(({ kind }) => kind === 'resin');
      return { ...design, coats: design.coats.toSpliced(last < 0 ? design.coats.length : last, 0, coat) };
    });
    this.said.set(refused ?? 'It is among the coats now, before the last resin; its template is in the list.');
  }
}
