import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { circumferenceAt, coatedHeight, countText, sectionsRound, sectionWidth, degreesWide, type Design } from '@aurantia/core';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { LengthPipe } from '../../../parts/fields/unit-pipes';
import { BUTTONS } from '../../../parts/buttons';

/** What the tool asks for: how many sections, each how wide (degrees), leaning how far. */
export interface SectionsAsked {
  readonly count: number;
  readonly width: number;
  readonly lean: number;
}

/** Sections round: so many of one width; what fits, what sliver is left, and the width that leaves none. */
@Component({
  selector: 'au-sections-tool',
  imports: [BUTTONS, NumberField, Pick, LengthPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <au-number label="Sections round" [value]="sections()" (valueChange)="counted($event)" [refused]="countWrong()" />
      <span class="soft or">or</span>
      <au-number
        label="Each wide"
        measure="length"
        [optional]="true"
        [value]="wanted()"
        (valueChange)="wanted.set($event)"
        [refused]="widthWrong()"
      />
      <au-pick label="measured" [options]="places" [value]="place()" (valueChange)="place.set($event)" />
      <au-number label="Lean" unitName="°" [value]="lean()" (valueChange)="lean.set($event ?? 0)" />
    </div>
    @if (round(); as fit) {
      <p>
        <b>{{ fitText() }}</b>, leaving a sliver of <b>{{ fit.sliver | length }}</b>. Made equal, each is
        <b>{{ fit.equal | length }}</b> wide there.
      </p>
    } @else {
      <p>
        Each <b>{{ widthAt(0) | length }}</b> wide at the foot and <b>{{ widthAt(top()) | length }}</b> where the coats end.
      </p>
    }
    <div class="row">
      <button type="button" matButton="filled" [disabled]="countWrong() !== null || widthWrong() !== null" (click)="lay(true)">
        {{ equalText() }}
      </button>
      @if (round(); as fit) {
        @if (fit.sliver > 0.05) {
          <button type="button" matButton="outlined" (click)="lay(false)">Lay {{ fit.fit }} and leave the sliver</button>
        }
      }
      <button type="button" matButton (click)="closed.emit()">Close</button>
      <span class="soft">Sections that are there already are replaced; locked ones stay.</span>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      padding: 12px 14px;
      background: var(--sheet);
      border: 1px solid var(--line);
      border-radius: 8px;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: end;
    }
    au-number {
      width: 112px;
    }
    .or {
      padding-bottom: 8px;
    }
  `,
})
export class SectionsTool {
  readonly design = input.required<Design>();
  readonly asked = output<SectionsAsked>();
  readonly closed = output();

  protected readonly count = signal(6);
  protected readonly wanted = signal<number | null>(null);
  protected readonly lean = signal(0);
  protected readonly place = signal('foot');
  protected readonly places = [
    { value: 'foot', name: 'at the foot' },
    { value: 'middle', name: 'half way up' },
    { value: 'rim', name: 'where coats end' },
  ];
  protected readonly top = computed(() => coatedHeight(this.design().cup));
  private readonly tape = computed(() => {
    const height = this.place() === 'foot' ? 0 : this.place() === 'rim' ? this.top() : this.top() / 2;
    return circumferenceAt(this.design().cup.stations, height);
  });
  protected readonly countWrong = computed(() =>
    Number.isInteger(this.count()) && this.count() >= 1 && this.count() <= 30 ? null : 'Whole sections, 1 to 30.',
  );
  protected readonly widthWrong = computed(() => {
    const width = this.wanted();
    return width === null || (width >= 3 && width <= this.tape()) ? null : 'From 3 mm to once round.';
  });
  protected readonly round = computed(() => {
    const width = this.wanted();
    return width === null || this.widthWrong() !== null ? null : sectionsRound(this.tape(), width);
  });
  protected readonly sections = computed(() => Math.min(30, this.round()?.fit ?? this.count()));
  protected readonly fitText = computed(() => `${countText(this.sections(), 'section')} fit`);
  protected readonly equalText = computed(() =>
    this.round() ? `Make ${this.sections()} equal` : `Lay ${countText(this.sections(), 'section')}`,
  );

  protected widthAt(height: number): number {
    return sectionWidth(circumferenceAt(this.design().cup.stations, height), Math.max(1, this.sections()));
  }

  protected counted(count: number | null): void {
    this.count.set(count ?? 0);
    this.wanted.set(null);
  }

  protected lay(equal: boolean): void {
    const width = this.wanted();
    const each = equal || width === null ? sectionWidth(this.tape(), this.sections()) : width;
    this.asked.emit({ count: this.sections(), width: degreesWide(this.tape(), each), lean: this.lean() });
  }
}
