import { ChangeDetectionStrategy, Component, inject, Injector, signal } from '@angular/core';
import { MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { healthNotes } from '@aurantia/core';
import { glossary } from '@aurantia/core/glossary';
import { stageNames, stagePages } from '@aurantia/core/guide';
import { BUTTONS } from '../../parts/buttons';
import { PANELS } from '../../parts/panels';
import { TABS } from '../../parts/tabs/tabs';
import { FirstCupLesson } from '../../services/lesson';
import { keysByPlace } from './keys';

/** What each stage decides, the keys by place, the words, and the care notes. */
@Component({
  selector: 'au-help-dialog',
  imports: [BUTTONS, MatDialogModule, PANELS, TABS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './help-dialog.html',
  styleUrl: './help-dialog.scss',
})
export class HelpDialog {
  private readonly ref = inject<MatDialogRef<HelpDialog>>(MatDialogRef);
  private readonly lesson = inject(FirstCupLesson);
  /** where the page is: a design and its stage, as its address says */
  private readonly at = /^\/designs\/([^/?]+)\/(\w+)/.exec(inject(Router).url);
  protected readonly design = this.at?.[1] ?? null;
  protected readonly stage = this.at?.[2] ?? null;
  protected readonly health = healthNotes;
  protected readonly places = keysByPlace;
  private readonly injector = inject(Injector);
  protected readonly pages = stageNames.map((stage) => ({ stage, ...stagePages[stage] }));
  protected readonly words = Object.entries(glossary).map(([word, means]) => ({
    word: word.charAt(0).toUpperCase() + word.slice(1),
    means,
  }));
  protected readonly tabs = [
    { tab: 'stages', name: 'Stage by stage' },
    { tab: 'keys', name: 'Keys' },
    { tab: 'words', name: 'Words' },
    { tab: 'care', name: 'Care' },
  ] as const;
  protected readonly tab = signal<(typeof this.tabs)[number]['tab']>(this.stage ? 'stages' : 'keys');

  /** The lesson, on the design that is open. */
  protected learn(): void {
    if (this.design) this.lesson.begin(decodeURIComponent(this.design));
    this.ref.close();
  }

  /** A plan to put right, with a score. */
  protected async practise(): Promise<void> {
    const { PracticeDesigns } = await import('../../services/practice');
    this.injector.get(PracticeDesigns).mistakes();
    this.ref.close();
  }
}
