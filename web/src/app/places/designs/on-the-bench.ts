import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { countText } from '@aurantia/core';
import { standingText, stateAt } from '@aurantia/core/make';
import { sameRows } from '../../parts/same-rows';
import { MakesList } from '../../services/makes-list';
import { WorkshopTime } from '../../services/workshop-time';

/** So many are named; the bench shows all. */
const NAMED = 5;

/** Cups that are being made, and what each waits for. */
@Component({
  selector: 'au-on-the-bench',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length > 0) {
      <h2>On the bench</h2>
      <ul>
        @for (row of rows(); track row.id) {
          <li>
            <a [routerLink]="['/bench', row.id]" [class]="row.state.replaceAll(' ', '-')">
              <b>{{ row.name }}</b>
              <span>{{ row.stands }}</span>
            </a>
          </li>
        }
      </ul>
      @if (more() > 0) {
        <p class="soft">
          and <a routerLink="/bench">{{ countText(more(), 'more', 'more') }}</a>
        </p>
      }
    }
  `,
  styles: `
    h2 {
      margin: 18px 0 6px;
      font: 700 1.0625rem/1.2 var(--title);
    }

    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }

    li a {
      display: grid;
      padding: 8px 0;
      border-top: 1px solid var(--line);
      color: var(--ink);
      text-decoration: none;

      &:hover b {
        color: var(--peel);
      }
    }

    span {
      color: var(--soft);
      font-variant-numeric: tabular-nums;
    }

    .ready span,
    .at-the-bench span {
      color: var(--leaf);
      font-weight: 600;
    }
  `,
})
export class OnTheBench {
  private readonly makes = inject(MakesList);
  private readonly time = inject(WorkshopTime);
  protected readonly countText = countText;
  private readonly open = computed(
    () => (this.makes.lines() ?? []).filter(({ standing }) => !['done', 'given up'].includes(stateAt(standing, this.time.now()))),
    { equal: sameRows },
  );
  protected readonly more = computed(() => this.open().length - NAMED);
  protected readonly rows = computed(
    () => {
      const now = this.time.now();
      return this.open()
        .slice(0, NAMED)
        .map(({ id, name, number, label, standing }) => ({
          id,
          name: `${name} · ${label || `make ${number}`}`,
          stands: standingText(standing, now),
          state: stateAt(standing, now),
        }));
    },
    { equal: sameRows },
  );

  constructor() {
    this.time.watch();
    this.makes.load();
    this.makes
      .changesSeen()
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.makes.load());
  }
}
