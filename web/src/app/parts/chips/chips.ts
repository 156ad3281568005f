import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatChipListbox, MatChipOption, type MatChipSelectionChange } from '@angular/material/chips';

/** A thing to choose by its name, with the colour it has and a second line where there is one. */
export interface Chip<Id extends string> {
  readonly id: Id;
  readonly name: string;
  readonly colour?: string;
  readonly says?: string;
  readonly on: boolean;
}

/** Things chosen by a press each: one of them, or several. */
@Component({
  selector: 'au-chips',
  imports: [MatChipListbox, MatChipOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-chip-listbox [aria-label]="label()" [multiple]="several()" [hideSingleSelectionIndicator]="true">
      @for (one of chips(); track one.id) {
        <mat-chip-option [value]="one.id" [selected]="one.on" (selectionChange)="press($event, one)">
          <span class="chip">
            @if (one.colour) {
              <i [style.background]="one.colour"></i>
            }
            <span>
              <b>{{ one.name }}</b>
              @if (one.says) {
                <small>{{ one.says }}</small>
              }
            </span>
          </span>
        </mat-chip-option>
      }
    </mat-chip-listbox>
  `,
  styles: `
    .mat-mdc-chip-option:has(small) {
      --mat-chip-container-height: 2.75rem;
    }
    .chip {
      display: flex;
      align-items: center;
      gap: 8px;
      text-align: left;
    }
    i {
      width: 20px;
      height: 20px;
      border-radius: 5px;
      border: 1px solid var(--swatch-edge);
    }
    b {
      display: block;
      font-weight: 600;
      line-height: 1.2;
    }
    small {
      display: block;
      color: var(--soft);
      font-size: 0.75rem;
      font-weight: 400;
      line-height: 1.2;
    }
  `,
})
export class Chips<Id extends string> {
  readonly label = input.required<string>();
  readonly chips = input.required<readonly Chip<Id>[]>();
  readonly several = input(false);
  readonly pressed = output<Id>();

  /** What is chosen is the owner's to say: a chip goes on when the owner says so, never of itself. */
  protected press({ source, isUserInput }: MatChipSelectionChange, { id, on }: Chip<Id>): void {
    if (!isUserInput) return;
    source.selected = on;
    this.pressed.emit(id);
  }
}
