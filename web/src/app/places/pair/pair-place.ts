import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { DOCUMENT } from '@angular/common';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { fromEvent, startWith } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { TextField } from '../../parts/fields/text-field';
import { ApiError } from '../../services/api';
import { Asking } from '../../services/asking';
import { SharingMemory } from '../../services/sharing';

/** Where a phone or tablet is let in: its code is read off the workshop's screen, or comes with the picture. */
@Component({
  selector: 'au-pair-place',
  imports: [BUTTONS, RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (asking.who === 'here') {
      <h1>This is the workshop’s own computer</h1>
      <p>It needs no code. Open this address on the phone or tablet that shall stand beside the cup.</p>
      <a matButton="filled" routerLink="/bench">To the bench</a>
    } @else {
      <h1>Let this device in</h1>
      <p>The workshop’s own computer shows a code, under “A phone or tablet” in This workshop.</p>
      <au-text
        label="Code"
        hint="ABCD 2345"
        [most]="20"
        [value]="code()"
        [refused]="refused()"
        (valueChange)="code.set($event)"
      />
      <button type="button" matButton="filled" [disabled]="busy()" (click)="pair()">Let it in</button>
      <p class="soft">It is kept in a cookie of this browser, which can be taken away at the workshop’s computer at any time.</p>
    }
  `,
  styleUrl: './pair-place.scss',
})
export class PairPlace {
  private readonly document = inject(DOCUMENT);
  private readonly sharing = inject(SharingMemory);
  protected readonly asking = inject(Asking);
  protected readonly code = signal('');
  protected readonly refused = signal<string | null>(null);
  protected readonly busy = signal(false);

  constructor() {
    if (this.asking.who === 'here') return;
    // A code that comes with the picture needs no press, also where this page stood open before.
    fromEvent(window, 'hashchange')
      .pipe(startWith(null), takeUntilDestroyed())
      .subscribe(() => {
        const code = this.document.location.hash.slice(1);
        if (code === '') return;
        this.code.set(code);
        this.pair();
      });
  }

  protected pair(): void {
    if (this.busy()) return;
    this.busy.set(true);
    this.sharing.pair(this.code()).subscribe({
      // The page anew: it is told what it may see.
      next: () => this.document.location.replace('/'),
      error: (error: unknown) => {
        this.busy.set(false);
        this.refused.set(
          error instanceof ApiError
            ? (error.problem.faults?.[0]?.sentence ?? error.problem.detail)
            : 'This page broke. Reload it.',
        );
      },
    });
  }
}
