import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { designMarksSchema, faultsOf, type DesignSummary } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';
import { WordsField } from '../../../parts/fields/words-field';
import { DesignList } from '../../../services/designs';

/** The words a maker keeps a design in order by. */
@Component({
  selector: 'au-tags-dialog',
  imports: [BUTTONS, MatDialogModule, WordsField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Tags of {{ design.name }}</h2>
    <mat-dialog-content>
      <p class="soft">A word of your own: a fair, a friend, a colour. Enter puts it on.</p>
      <au-words label="Tags" [words]="tags()" [known]="known()" (wordsChange)="change($event)" />
      @if (refused()) {
        <p class="wrong-note" role="alert">{{ refused() }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button type="button" matButton="outlined" mat-dialog-close>Leave it</button>
      <button type="button" matButton="filled" (click)="keep()">Keep these tags</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-dialog-content {
      display: grid;
      gap: 10px;
    }
  `,
})
export class TagsDialog {
  private readonly list = inject(DesignList);
  private readonly ref = inject<MatDialogRef<TagsDialog>>(MatDialogRef);
  protected readonly design = inject<DesignSummary>(MAT_DIALOG_DATA);
  protected readonly tags = signal<readonly string[]>(this.design.tags);
  protected readonly refused = signal<string | null>(null);
  protected readonly known = computed(() => this.list.tags().map(({ tag }) => tag));

  constructor() {
    this.list.loadTags();
  }

  protected change(tags: readonly string[]): void {
    const read = designMarksSchema.shape.tags.safeParse(tags);
    this.refused.set(read.success ? null : (faultsOf(read.error).at(0)?.sentence ?? 'This can’t be a tag.'));
    if (read.success) this.tags.set([...new Set(read.data)]);
  }

  protected keep(): void {
    this.list.mark(this.design, { tags: [...this.tags()] });
    this.ref.close();
  }
}
