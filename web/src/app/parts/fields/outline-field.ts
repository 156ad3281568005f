import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { filling, outlineName, plainOutlines, shapeOf, type Outline, type PlainOutline } from '@aurantia/core';
import { textOfFile } from '../../services/file-text';
import { Tip } from '../tip';
import { FileField } from './file-field';
import { BUTTONS } from '../buttons';

/** Which outline: one of the plain ones, or an SVG of one's own, of which only the closed lines are kept. */
@Component({
  selector: 'au-outline',
  imports: [BUTTONS, Tip, FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="soft" id="outline-name">Outline</span>
    <div class="row" role="group" aria-labelledby="outline-name">
      @for (one of shown(); track one.name) {
        <button
          type="button"
          matButton="outlined"
          [class.on]="one.on"
          [attr.aria-pressed]="one.on"
          [attr.aria-label]="one.name"
          [auTip]="one.name"
          (click)="pick(one.outline)"
        >
          <svg viewBox="-0.6 -0.85 1.2 1.7" aria-hidden="true"><path [attr.d]="one.path" fill-rule="evenodd" /></svg>
        </button>
      }
      <button type="button" matButton="outlined" class="file" (click)="picker.open()">SVG…</button>
      <au-file #picker label="SVG of an outline" accept=".svg,image/svg+xml" (chosen)="bring($event)" />
    </div>
    @if (said(); as sentence) {
      <p [class.wrong-note]="wrong()" [class.soft]="!wrong()" role="alert">{{ sentence }}</p>
    }
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
      margin-top: 3px;
    }
    button {
      padding: 3px;
      width: 34px;
      height: 38px;
    }
    svg {
      width: 26px;
      height: 30px;
      fill: var(--plum);
    }
    .file {
      width: auto;
      padding: 0 14px;
    }
  `,
})
export class OutlineField {
  /** null where it has none, for which there has to be a word */
  readonly outline = input.required<Outline | null>();
  readonly none = input<string | null>(null);
  readonly outlineChange = output<Outline>();
  readonly cleared = output();
  protected readonly said = signal<string | null>(null);
  protected readonly wrong = signal(false);
  protected readonly shown = computed(() => {
    const now = this.outline();
    const none = this.none();
    const plain = plainOutlines.map((shape: PlainOutline): Outline => ({ shape }));
    const outlines = [...(none === null ? [] : [null]), ...plain, ...(now?.shape === 'own' ? [now] : [])];
    return outlines.map((outline) => ({
      outline,
      name: nameOf(outline, none),
      on: nameOf(outline, none) === nameOf(now, none),
      path: (outline === null ? filling(null, SHEET) : shapeOf(outline))
        .flat()
        .map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(3)} ${(-y).toFixed(3)}`).join('L')}Z`)
        .join(''),
    }));
  });

  protected pick(outline: Outline | null): void {
    if (outline === null) this.cleared.emit();
    else this.outlineChange.emit(outline);
  }

  protected async bring(file: File): Promise<void> {
    // What reads XML and paths is heavy, and few bring a file: it comes with the first.
    const reader = await import('@aurantia/core/outline-file').catch(() => null);
    if (!reader) return this.refuse('This can’t be read while the program isn’t reached: choose it again once it is.');
    // What is far too large isn't even read.
    const read = reader.outlineFromSvg(file.size > 4_000_000 ? 'x'.repeat(1_000_001) : await textOfFile(file), file.name);
    if (!read.ok) return this.refuse(read.sentence);
    this.wrong.set(false);
    this.said.set(read.leftOut.length > 0 ? `Only its outline was taken; left out: ${read.leftOut.join(', ')}.` : null);
    this.outlineChange.emit(read.outline);
  }

  private refuse(why: string): void {
    this.wrong.set(true);
    this.said.set(`${why} The outline stays as it was.`);
  }
}

/** How tall a whole sheet is drawn, for a width of 1. */
const SHEET = 0.8;
const nameOf = (outline: Outline | null, none: string | null): string => (outline === null ? (none ?? '') : outlineName(outline));
