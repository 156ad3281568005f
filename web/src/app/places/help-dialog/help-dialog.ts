import { glossary } from '@aurantia/core/glossary';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatDialogModule } from '@angular/material/dialog';
import { healthNotes } from '@aurantia/core';
import { BUTTONS } from '../../parts/buttons';

/** The keys, the words and the care notes. */
@Component({
  selector: 'au-help-dialog',
  imports: [BUTTONS, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Keys and words</h2>
    <mat-dialog-content tabindex="0">
      <dl>
        @for (row of keys; track row.key) {
          <dt>
            <kbd>{{ row.key }}</kbd>
          </dt>
          <dd>{{ row.does }}</dd>
        }
      </dl>
      <dl class="words">
        @for (row of words; track row.word) {
          <dt>{{ row.word }}</dt>
          <dd>{{ row.means }}</dd>
        }
      </dl>
      @for (note of health; track note) {
        <p class="soft">{{ note }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end"
      ><button type="button" matButton="outlined" mat-dialog-close cdkFocusInitial>Done</button></mat-dialog-actions
    >
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: 120px 1fr;
      gap: 5px 14px;
      margin: 0 0 16px;
    }
    dt {
      font-weight: 700;
    }
    dd {
      margin: 0;
    }
    kbd {
      font: 600 12.5px var(--text);
      border: 1px solid var(--field-edge);
      border-radius: 5px;
      padding: 1px 7px;
      background: var(--paper);
    }
    p {
      font-size: 12.5px;
      margin-top: 6px;
    }
  `,
})
export class HelpDialog {
  protected readonly health = healthNotes;
  protected readonly keys = [
    { key: 'g d', does: 'Designs' },
    { key: 'g s', does: 'Shelf' },
    { key: 'g c', does: 'Cups' },
    { key: '/', does: 'Search, where there is a search' },
    { key: 'Ctrl Z', does: 'Undo in a design; with Shift, redo' },
    { key: '↑ ↓', does: 'One spoon more or less in an amount' },
    { key: 'Alt ↑ ↓', does: 'Move the coat you are on up or down' },
    { key: '← →', does: 'Turn the cup, once it has the focus' },
  ] as const;
  protected readonly words = Object.entries(glossary).map(([word, means]) => ({
    word: word.charAt(0).toUpperCase() + word.slice(1),
    means,
  }));
}
