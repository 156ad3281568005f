import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { countFindings, countText, healthNotes, listText, readinessOf, type Finding } from '@aurantia/core';
import { OpenDesign } from '../open-design';
import { FindingNote } from '../finding-note/finding-note';
import { Unfetched } from '../../parts/unfetched/unfetched';
import { TroubleFinder } from './trouble-finder';

/** Everything the check has found, in one place; what to wear and have at hand; and troubles worked backwards. */
@Component({
  selector: 'au-check-stage',
  imports: [FindingNote, RouterLink, TroubleFinder, Unfetched],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './check-stage.html',
  styleUrl: './check-stage.scss',
})
export class CheckStage {
  protected readonly design = inject(OpenDesign).design;
  protected readonly plan = inject(OpenDesign).plan;
  protected readonly health = healthNotes;
  protected readonly ready = computed(() => readinessOf(this.plan().coats.length, this.plan().findings));
  protected readonly heading = computed(() => {
    const { grave, tip } = countFindings(this.plan().findings);
    const tips = tip > 0 ? countText(tip, 'thing worth knowing', 'things worth knowing') : '';
    if (grave > 0) return [countText(grave, 'thing to look at', 'things to look at'), tips].filter(Boolean).join(', ');
    return this.plan().coats.length === 0
      ? 'Nothing to check yet'
      : ['Nothing stands in the way', tips].filter(Boolean).join('; ');
  });
  protected readonly rows = computed(() => this.plan().findings.map((finding) => ({ finding, ...this.placeOf(finding) })));
  /** every caution once, with the coats it belongs to */
  protected readonly cautions = computed(() => {
    const numbers = new Map<string, string[]>();
    for (const [index, { cautions }] of this.plan().coats.entries())
      for (const caution of cautions) numbers.set(caution, [...(numbers.get(caution) ?? []), `${index + 1}`]);
    return [...numbers].map(([says, coats]) => ({ says, at: `${coats.length === 1 ? 'coat' : 'coats'} ${listText(coats)}` }));
  });

  /** What a finding is about, and the stage where that is changed. */
  private placeOf({ coat, area }: Finding): { readonly about: string; readonly stage: string } {
    const index = this.plan().coats.findIndex(({ id }) => id === coat);
    if (index >= 0) return { about: `Coat ${index + 1}, ${this.plan().coats[index].title}`, stage: 'coats' };
    const name = this.design().areas.find(({ id }) => id === area)?.name;
    return name === undefined ? { about: 'The whole cup', stage: 'coats' } : { about: name, stage: 'colour' };
  }
}
