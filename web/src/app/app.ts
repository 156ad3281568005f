import type { ComponentType } from '@angular/cdk/portal';
import { ChangeDetectionStrategy, Component, computed, inject, Injector } from '@angular/core';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import type { MatDialogConfig } from '@angular/material/dialog';
import { temperatureText } from '@aurantia/core';
import { WorkshopMemory } from './services/workshop';
import { Icon } from './parts/icons/icon';

const places = [
  { path: '/designs', name: 'Designs', key: 'd' },
  { path: '/shelf', name: 'Shelf', key: 's' },
  { path: '/cups', name: 'Cups', key: 'c' },
] as const;

/** The frame round every place: header, places, and the keys that work everywhere. */
@Component({
  selector: 'au-root',
  imports: [RouterOutlet, RouterLink, RouterLinkActive, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './app.html',
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'key($event)' },
})
export class App {
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly memory = inject(WorkshopMemory);
  protected readonly places = places;
  protected readonly room = computed(() => {
    const { celsius, humidity, units } = this.memory.settings();
    return `${temperatureText(celsius, units)} · ${humidity} % in the room`;
  });
  protected readonly units = computed(() => {
    const { length, amount } = this.memory.units();
    return `${length === 'mm' ? 'mm' : 'in'} · ${{ ml: 'ml', teaspoon: 'tsp', gram: 'g' }[amount]}`;
  });
  private afterG = false;

  constructor() {
    this.memory.load();
  }

  protected async openSettings(): Promise<void> {
    const { WorkshopDialog } = await import('./places/workshop-dialog/workshop-dialog');
    await this.open(WorkshopDialog, { width: '640px', ariaLabel: 'This workshop' });
  }

  protected async openHelp(): Promise<void> {
    const { HelpDialog } = await import('./places/help-dialog/help-dialog');
    await this.open(HelpDialog, { width: '560px', ariaLabel: 'Help and keys' });
  }

  /** Dialogs come when the first one is asked for: a first page does without their 8 kB. */
  private async open<Dialog>(dialog: ComponentType<Dialog>, config: MatDialogConfig): Promise<void> {
    const { MatDialog } = await import('@angular/material/dialog');
    this.injector.get(MatDialog).open(dialog, config);
  }

  /** One letter a place after g, / to search, ? for help; never while something is typed. */
  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, textarea, select, [contenteditable]')) return;
    const place = places.find(({ key }) => key === event.key);
    if (this.afterG && place) void this.router.navigateByUrl(place.path);
    this.afterG = event.key === 'g';
    if (event.key === '?') void this.openHelp();
    if (event.key === '/') {
      const search = document.querySelector<HTMLInputElement>('input[type=search]');
      search?.focus();
      if (search) event.preventDefault();
    }
  }
}
