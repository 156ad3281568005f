import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { countText, faultsOf, type Design, type Finding } from '@aurantia/core';
import { makeWishSchema } from '@aurantia/core/make';
import { v7 } from 'uuid';
import { BUTTONS } from '../../parts/buttons';
import { NumberField } from '../../parts/fields/number-field';
import { Pick } from '../../parts/fields/pick';
import { TextField } from '../../parts/fields/text-field';
import { Makes } from '../../services/makes';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';

export interface MakeAsked {
  readonly design: Design;
  readonly findings: readonly Finding[];
  /** whether what is seen is what the workshop's memory has */
  readonly kept: () => boolean;
}

/** How many are made, and for whom: then the design is frozen as it is, and the bench opens. */
@Component({
  selector: 'au-make-dialog',
  imports: [BUTTONS, MatDialogModule, NumberField, Pick, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Make {{ asked.design.name }}</h2>
    <mat-dialog-content>
      <p class="soft">
        Design, jars, room and schools are frozen as they are now: what you change later changes nothing at this cup.
      </p>
      <div class="fields">
        <au-number label="Cups, alike, at once" [value]="cups()" [refused]="refused()" (valueChange)="count($event)" />
        @if (onCups().length > 1) {
          <au-pick class="cup" label="On this cup" [options]="onCups()" [value]="cup()" (valueChange)="cup.set($event)" />
        }
        <au-text label="For whom, or when" [most]="60" [value]="label()" (valueChange)="label.set($event)" />
      </div>
      @if (cup() !== own) {
        <p class="soft">
          It is refitted on that cup: edges by their share of the height, pours by area. “See it on another cup” shows how.
        </p>
      }
      @if (stops().length > 0) {
        <div class="stops" role="alert">
          <b>The check says stop, {{ countText(stops().length, 'time') }}:</b>
          <ul>
            @for (one of stops(); track one.says) {
              <li>{{ one.says }}</li>
            }
          </ul>
        </div>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button type="button" matButton="outlined" mat-dialog-close>Not yet</button>
      <button type="button" matButton="filled" [disabled]="busy()" (click)="begin()">
        {{ stops().length > 0 ? 'To the bench all the same' : 'To the bench' }}
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-dialog-content {
      display: grid;
      gap: 12px;
    }

    .fields {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 16px;
    }

    .stops {
      padding: 10px 14px;
      border-radius: 8px;
      background: var(--stop-wash);
      color: var(--stop);
    }

    .cup {
      width: 210px;
    }

    p {
      margin: 0;
    }

    ul {
      margin: 4px 0 0;
      padding-left: 18px;
    }
  `,
})
export class MakeDialog {
  private readonly makes = inject(Makes);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly ref = inject<MatDialogRef<MakeDialog>>(MatDialogRef);
  protected readonly asked = inject<MakeAsked>(MAT_DIALOG_DATA);
  protected readonly countText = countText;
  protected readonly cups = signal(1);
  protected readonly label = signal('');
  /** the cup that the design is for */
  protected readonly own = 'own';
  protected readonly cup = signal<string>(this.own);
  protected readonly onCups = computed(() => [
    { value: this.own, name: this.asked.design.cup.name },
    ...this.memory
      .cups()
      .filter(({ cup }) => cup.name !== this.asked.design.cup.name)
      .map(({ id, cup }) => ({ value: id, name: cup.name })),
  ]);
  protected readonly refused = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly stops = computed(() =>
    this.asked.findings.filter(({ level, accepted }) => level === 'stop' && accepted === null),
  );

  protected count(cups: number | null): void {
    const read = makeWishSchema.safeParse({ id: v7(), design: this.asked.design.id, cups });
    this.refused.set(read.success ? null : (faultsOf(read.error).at(0)?.sentence ?? 'So many can’t be made.'));
    if (read.success) this.cups.set(read.data.cups);
  }

  protected begin(): void {
    if (this.busy()) return;
    if (!this.asked.kept()) return this.notices.say('The design is still being kept. Press once more in a moment.');
    this.busy.set(true);
    const cup = this.memory.cups().find(({ id }) => id === this.cup())?.cup;
    const wish = { design: this.asked.design.id, cups: this.cups(), label: this.label().trim(), ...(cup ? { cup } : {}) };
    this.makes.begin(wish).subscribe({
      next: ({ make }) => {
        this.ref.close();
        void this.router.navigate(['/bench', make.id]);
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
      },
    });
  }
}
