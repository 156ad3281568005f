import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { countText } from '@aurantia/core';
import { standingText, stateAt } from '@aurantia/core/make';
import { catchError, debounceTime, of, switchMap } from 'rxjs';
import { format, parseISO } from 'date-fns';
import { BUTTONS } from '../../parts/buttons';
import { DateField } from '../../parts/fields/date-field';
import { FileField } from '../../parts/fields/file-field';
import { SearchField } from '../../parts/fields/search-field';
import { sameRows } from '../../parts/same-rows';
import { textOfFile } from '../../services/file-text';
import { Asking } from '../../services/asking';
import { Makes } from '../../services/makes';
import { MakesList } from '../../services/makes-list';
import { Notices } from '../../services/notices';
import { WorkshopTime } from '../../services/workshop-time';

/** ms without another letter after which it is looked for. */
const TYPED = 180;

/** Every cup that was made or is being made, found by design, jar, lot, a word written at the bench, or day. */
@Component({
  selector: 'au-logbook-place',
  imports: [BUTTONS, DateField, FileField, RouterLink, SearchField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './logbook-place.html',
  styleUrl: './logbook-place.scss',
})
export class LogbookPlace {
  private readonly makes = inject(Makes);
  private readonly list = inject(MakesList);
  private readonly time = inject(WorkshopTime);
  private readonly router = inject(Router);
  protected readonly all = inject(Asking).all;
  private readonly notices = inject(Notices);

  protected readonly words = signal('');
  protected readonly from = signal<string | null>(null);
  protected readonly until = signal<string | null>(null);
  private readonly wanted = computed(() => ({ words: this.words(), from: this.from(), until: this.until() }));
  private readonly found = toSignal(
    toObservable(this.wanted).pipe(
      debounceTime(TYPED),
      switchMap((wanted) =>
        this.list.found(wanted).pipe(
          catchError((error: unknown) => {
            this.notices.failed(error);
            return of(null);
          }),
        ),
      ),
    ),
    { initialValue: undefined },
  );
  protected readonly narrowed = computed(() => this.words().trim() !== '' || this.from() !== null || this.until() !== null);
  protected readonly rows = computed(
    () =>
      this.found()?.makes.map((line) => ({
        id: line.id,
        called: `${line.name}, make ${line.number}`,
        label: [line.label, line.cups > 1 ? countText(line.cups, 'cup') : ''].filter((one) => one !== '').join(' · '),
        begun: format(parseISO(line.at), 'd MMM yyyy'),
        stands: standingText(line.standing, this.time.now()),
        state: stateAt(line.standing, this.time.now()).replaceAll(' ', '-'),
      })),
    { equal: sameRows },
  );
  protected readonly count = computed(() => {
    const found = this.found();
    if (!found) return '';
    const all = countText(found.found, 'make');
    return found.found > found.makes.length
      ? `${all}; the first ${found.makes.length} are shown. Narrow it down to see others.`
      : all;
  });

  constructor() {
    this.time.watch();
    // A day that ends before it begins finds nothing, and nobody would know why: the other end follows.
    effect(() => {
      const [from, until] = [this.from(), this.until()];
      if (from !== null && until !== null && until < from) this.until.set(from);
    });
  }

  /** A file from elsewhere replaces nothing; one that isn't sound is refused with a sentence. */
  protected async bring(file: File): Promise<void> {
    try {
      const data: unknown = JSON.parse(await textOfFile(file));
      this.makes.bringIn(data).subscribe({
        next: ({ make }) => void this.router.navigate(['/bench', make.id]),
        error: (error: unknown) => this.notices.failed(error),
      });
    } catch {
      this.notices.say('This file isn’t JSON. Choose one that was saved at the bench.');
    }
  }
}
