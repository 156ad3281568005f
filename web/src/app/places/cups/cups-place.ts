import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MENUS } from '../../parts/menus';
import { countText, foundCups, planOf, startingDesign, typicalCups, volumeCheck, type Cup } from '@aurantia/core';
import { cupsCsv, cupsJson, readCups } from '@aurantia/core/cups-file';
import { concatMap, from, toArray } from 'rxjs';
import { v7 } from 'uuid';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { CupSheet } from '../../parts/cup-sheet/cup-sheet';
import { AreaPipe, LengthPipe } from '../../parts/fields/unit-pipes';
import { textOfFile } from '../../services/file-text';
import { Notices } from '../../services/notices';
import { saveText } from '../../services/save-file';
import { WorkshopMemory } from '../../services/workshop';
import { MeasuringWizard } from './measuring-wizard';
import { FileField } from '../../parts/fields/file-field';
import { SearchField } from '../../parts/fields/search-field';
import { Waiting } from '../../parts/waiting';
import { BUTTONS } from '../../parts/buttons';

/** Up to so many are found by looking. */
const MANY = 6;

/** The cups that were measured, side by side at one scale, and the measuring sheet. */
@Component({
  selector: 'au-cups-place',
  imports: [BUTTONS, MENUS, CupFigure, CupSheet, MeasuringWizard, AreaPipe, LengthPipe, FileField, SearchField, Waiting],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cups-place.html',
  styleUrl: './cups-place.scss',
})
export class CupsPlace {
  protected readonly memory = inject(WorkshopMemory);
  protected readonly MANY = MANY;
  protected readonly search = signal('');
  private readonly notices = inject(Notices);
  /** from the address: which cup, or that one is to be measured */
  readonly cup = input<string>();
  readonly tape = input<string>();
  private readonly picked = linkedSignal<string | null>(() => this.cup() ?? null);
  protected readonly measuring = linkedSignal(() => this.tape() !== undefined);
  protected readonly faults = signal<readonly string[]>([]);
  protected readonly library = typicalCups;
  protected readonly loaded = this.memory.loaded;
  protected readonly cups = computed(() =>
    foundCups(this.memory.cups(), this.search()).map((kept) => ({
      kept,
      plan: planOf(startingDesign(kept.id, kept.cup.name, kept.cup), this.memory.workshop()),
    })),
  );
  protected readonly chosen = computed(
    () => this.cups().find(({ kept }) => kept.id === this.picked()) ?? this.cups().at(0) ?? null,
  );

  protected readonly plausible = computed(() => {
    const one = this.chosen();
    return one ? volumeCheck(one.plan.surface.volume, one.kept.cup.volume) : '';
  });

  protected pick(id: string): void {
    this.measuring.set(false);
    this.picked.set(id);
  }

  protected measure(cup: Cup): void {
    const id = v7();
    this.keep(id, cup);
    this.picked.set(id);
    this.measuring.set(false);
  }

  /** All of them, in a file to keep or to share. */
  protected save(how: 'json' | 'csv'): void {
    const cups = this.memory.cups().map(({ cup }) => cup);
    const text = how === 'json' ? cupsJson(cups) : cupsCsv(cups);
    saveText(`cups.${how}`, text, how === 'json' ? 'application/json' : 'text/csv');
  }

  /** Cups from a file come beside those that are here; a faulty file brings none, and says why. */
  protected async bring(file: File): Promise<void> {
    const read = readCups(file.size > 4_000_000 ? 'too large' : await textOfFile(file));
    this.faults.set(read.ok ? [] : read.faults.slice(0, 8).map(({ path, sentence }) => `${path}: ${sentence}`));
    if (!read.ok) return;
    const first = v7();
    from(read.cups.map((cup, index) => ({ cup, id: index === 0 ? first : v7() })))
      .pipe(
        concatMap(({ id, cup }) => this.memory.putCup(id, cup)),
        toArray(),
      )
      .subscribe((kept) => {
        if (kept.length === 0) return;
        this.picked.set(first);
        this.notices.say(`${countText(kept.length, 'cup')} came in from ${file.name}.`);
      });
  }

  protected keep(id: string, cup: Cup): void {
    this.memory.putCup(id, cup).subscribe();
  }

  protected remove(): void {
    const one = this.chosen();
    if (one) this.memory.removeCup(one.kept);
  }
}
