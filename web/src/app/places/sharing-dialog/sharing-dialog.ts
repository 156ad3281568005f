import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatDialogModule } from '@angular/material/dialog';
import { countText } from '@aurantia/core';
import type { Paired, Sees, Sharing } from '@aurantia/core/sharing';
import type { Observable } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { Choice } from '../../parts/fields/choice';
import { Switch } from '../../parts/fields/switch';
import { TextField } from '../../parts/fields/text-field';
import { momentText } from '../../parts/moment-text';
import { Notices } from '../../services/notices';
import { SharingMemory } from '../../services/sharing';

const sees: readonly { value: Sees; name: string }[] = [
  { value: 'bench', name: 'bench and logbook' },
  { value: 'all', name: 'all of it' },
];

/** Phones and tablets beside the cup: switched on, let in by a code, taken away. */
@Component({
  selector: 'au-sharing-dialog',
  imports: [BUTTONS, MatDialogModule, Choice, Switch, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sharing-dialog.html',
  styleUrl: './sharing-dialog.scss',
})
export class SharingDialog {
  private readonly memory = inject(SharingMemory);
  private readonly notices = inject(Notices);
  protected readonly sharing = this.memory.sharing;
  protected readonly sees = sees;
  protected readonly name = signal('Tablet');
  protected readonly wished = signal<Sees>('bench');
  protected readonly busy = signal(false);

  protected readonly code = computed(() => {
    const code = this.sharing()?.code;
    if (!code) return null;
    return {
      ...code,
      picture: `data:image/svg+xml,${encodeURIComponent(code.picture)}`,
      places: code.links.map((link) => link.replace(/#.*$/, '')).join(' or '),
      until: momentText(code.until, Date.now()),
      tries: countText(code.triesLeft, 'try', 'tries'),
      seen: sees.find(({ value }) => value === code.sees)?.name ?? '',
    };
  });
  protected readonly paired = computed(() =>
    (this.sharing()?.paired ?? []).map((one) => ({
      one,
      sees: sees.find(({ value }) => value === one.sees)?.name ?? '',
      seen: momentText(Date.parse(one.seen), Date.now()),
    })),
  );

  constructor() {
    this.memory
      .watch()
      .pipe(takeUntilDestroyed())
      .subscribe({ error: (error: unknown) => this.notices.failed(error) });
  }

  protected turn(on: boolean): void {
    this.do(this.memory.turn(on));
  }

  protected draw(): void {
    this.do(this.memory.drawCode({ name: this.name(), sees: this.wished() }));
  }

  protected endCode(): void {
    this.do(this.memory.voidCode());
  }

  protected takeAway({ id, name }: Paired): void {
    this.do(this.memory.takeAway(id), () => this.notices.say(`${name} isn’t let in any more.`));
  }

  private do(work: Observable<Sharing>, then: () => void = () => undefined): void {
    this.busy.set(true);
    work.subscribe({
      next: () => {
        this.busy.set(false);
        then();
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
      },
    });
  }
}
