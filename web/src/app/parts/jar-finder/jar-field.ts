import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { colourOf, groupOf, type ShelfKind } from '@aurantia/core';
import { WorkshopMemory } from '../../services/workshop';
import { MaterialGlyph } from '../glyphs/material-glyph';
import { JarFinding } from './jar-finding';
import { BUTTONS } from '../buttons';

let made = 0;

/** Which jar: its name, and a press to choose another. */
@Component({
  selector: 'au-jar',
  imports: [BUTTONS, MaterialGlyph],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span [id]="id">{{ label() }}</span>
      <button
        type="button"
        matButton="outlined"
        [attr.aria-labelledby]="id + ' ' + id + 'now'"
        aria-haspopup="dialog"
        (click)="choose()"
      >
        @if (item(); as one) {
          <au-glyph [kind]="groupOf(one)" [colour]="colourOf(one)" [size]="18" />
        }
        <span [id]="id + 'now'">{{ item()?.name ?? 'choose one' }}</span>
      </button>
    </div>
  `,
  styles: `
    button {
      width: 100%;
      justify-content: flex-start;
      padding: 0 10px;
      font-weight: 500;
      border-color: var(--field-edge);
    }
    button span {
      overflow: hidden;
      text-overflow: ellipsis;
    }
  `,
})
export class JarField {
  private readonly memory = inject(WorkshopMemory);
  private readonly finding = inject(JarFinding);
  readonly label = input.required<string>();
  readonly kind = input.required<ShelfKind>();
  /** id of the jar; one that is gone asks to choose */
  readonly value = input.required<string>();
  /** hex it might want to be near to, and whose that is */
  readonly near = input<string | null>(null);
  readonly nearWhat = input('');
  readonly valueChange = output<string>();
  protected readonly id = `jar-${(made += 1)}`;
  protected readonly item = computed(() =>
    this.memory.shelf().find(({ id, kind }) => id === this.value() && kind === this.kind()),
  );
  protected readonly groupOf = groupOf;
  protected readonly colourOf = colourOf;

  protected async choose(): Promise<void> {
    const wish = { kind: this.kind(), near: this.near(), nearWhat: this.nearWhat() };
    const item = await this.finding.choose(wish);
    if (item) this.valueChange.emit(item.id);
  }
}
