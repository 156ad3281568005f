import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import {
  amountText,
  countFindings,
  countText,
  gramsPerMl,
  planOf,
  readDesignFile,
  startingCup,
  startingDesign,
  type Design,
  type Plan,
} from '@aurantia/core';
import { v7 } from 'uuid';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { MaterialGlyph } from '../../parts/glyphs/material-glyph';
import { DesignList, type KeptDesign } from '../../services/designs';
import { KeptSafe } from '../../services/kept-safe';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';

interface Standing {
  readonly kept: KeptDesign;
  readonly plan: Plan;
  readonly line: string;
  readonly level: 'clean' | 'look' | 'stop' | 'open';
}

/** Home: every design as its own cup on a shelf. */
@Component({
  selector: 'au-designs-place',
  imports: [CupFigure, MaterialGlyph, MatMenuModule, NgTemplateOutlet, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './designs-place.html',
  styleUrl: './designs-place.scss',
})
export class DesignsPlace {
  private readonly list = inject(DesignList);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly memory = inject(WorkshopMemory);

  protected readonly ready = computed(() => this.list.loaded() && this.memory.loaded());
  protected readonly faults = signal<readonly { path: string; sentence: string }[]>([]);
  protected readonly standing = computed<readonly Standing[]>(() => {
    if (!this.ready()) return [];
    const workshop = this.memory.workshop();
    return this.list.designs().map((kept) => {
      const plan = planOf(kept.document, workshop);
      return { kept, plan, ...lineOf(plan) };
    });
  });
  protected readonly latest = computed(() => this.standing().slice(0, 3));
  protected readonly others = computed(() => this.standing().slice(3));
  protected readonly low = computed(() =>
    this.memory
      .shelf()
      .flatMap((item) => (item.kind === 'glitter' && item.left !== null ? [{ item, left: item.left }] : []))
      .sort((a, b) => a.left - b.left)
      .slice(0, 5)
      .map(({ item, left }) => ({ item, left: amountText(left, this.memory.units(), gramsPerMl(item.flake)) })),
  );

  private readonly safe = inject(KeptSafe);
  protected readonly unreadable = computed(() => this.safe.unreadable().length);

  constructor() {
    this.list.load();
    this.safe.lookForUnreadable();
  }

  protected begin(): void {
    const cup = this.memory.cups().at(0)?.cup ?? startingCup;
    this.keep(startingDesign(v7(), nameNotIn(this.list.designs()), cup));
  }

  protected copy({ document }: KeptDesign): void {
    this.keep({ ...document, id: v7() as Design['id'], name: `${document.name}, copy`.slice(0, 80) });
  }

  protected remove(kept: KeptDesign): void {
    this.list.remove(kept);
  }

  protected async bring(input: HTMLInputElement): Promise<void> {
    const text = await input.files?.item(0)?.text();
    input.value = '';
    if (text === undefined) return;
    const read = readDesignFile(text);
    if (!read.ok) {
      this.faults.set(read.faults);
      return;
    }
    this.faults.set([]);
    this.list.importFile(read.file).subscribe({
      next: (kept) => {
        this.memory.load();
        this.notices.say(`${kept.document.name} is here, with the jars it needs.`);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private keep(document: Design): void {
    this.list.create(document).subscribe({
      next: (kept) => void this.router.navigate(['/designs', kept.document.id, 'cup']),
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}

function lineOf(plan: Plan): Pick<Standing, 'line' | 'level'> {
  if (plan.areas.areas.length === 0) return { line: 'only a cup so far', level: 'open' };
  if (plan.coats.length === 0) return { line: `${countText(plan.areas.areas.length, 'area')}, no coats yet`, level: 'open' };
  const coats = countText(plan.coats.length, 'coat');
  const { stop, grave } = countFindings(plan.findings);
  if (grave > 0) return { line: `${coats}, ${countText(grave, 'thing')} to look at`, level: stop > 0 ? 'stop' : 'look' };
  return { line: `${coats}, all clear`, level: 'clean' };
}

function nameNotIn(designs: readonly KeptDesign[]): string {
  const names = new Set(designs.map(({ document }) => document.name));
  for (let number = 1; ; number += 1) {
    const name = number === 1 ? 'New design' : `New design ${number}`;
    if (!names.has(name)) return name;
  }
}
