import type { ComponentType } from '@angular/cdk/portal';
import { ChangeDetectionStrategy, Component, computed, inject, Injector } from '@angular/core';
import { Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import type { MatDialogConfig } from '@angular/material/dialog';
import { temperatureText } from '@aurantia/core';
import { Following } from './services/following';
import { Needs } from './services/needs';
import { WorkshopMemory } from './services/workshop';
import { Notices } from './services/notices';
import { RoomLight } from './services/room-light';
import { Asking } from './services/asking';
import { offerCommands, type Command } from './services/commands';
import { Icon } from './parts/icons/icon';
import { BUTTONS } from './parts/buttons';

const places = [
  { path: '/designs', name: 'Designs', key: 'd' },
  { path: '/shelf', name: 'Shelf', key: 's' },
  { path: '/cups', name: 'Cups', key: 'c' },
  { path: '/bench', name: 'Bench', key: 'b' },
  { path: '/week', name: 'Week', key: 'w' },
] as const;
/** What a device is shown that was let in to the bench alone. */
const atTheBench = [places[3], { path: '/log', name: 'Logbook', key: 'l' }] as const;

/** The frame round every place: header, places, and the keys that work everywhere. */
@Component({
  selector: 'au-root',
  imports: [BUTTONS, RouterOutlet, RouterLink, RouterLinkActive, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './app.html',
  styleUrl: './app.scss',
  host: { '(document:keydown)': 'key($event)' },
})
export class App {
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly memory = inject(WorkshopMemory);
  private readonly needs = inject(Needs);
  private readonly notices = inject(Notices);
  protected readonly asking = inject(Asking);
  protected readonly places = this.asking.all ? places : this.asking.who === 'bench' ? atTheBench : [];
  protected readonly room = computed(() => {
    const { celsius, humidity, units } = this.memory.settings();
    return `${temperatureText(celsius, units)} · ${humidity} % in the room`;
  });
  /** of what the cups on the bench take, what won't last, the first first */
  protected readonly runsOut = computed(() => this.needs.short().at(0) ?? null);
  protected readonly units = computed(() => {
    const { length, amount } = this.memory.units();
    return `${length === 'mm' ? 'mm' : 'in'} · ${{ ml: 'ml', teaspoon: 'tsp', gram: 'g' }[amount]}`;
  });
  private readonly light = inject(RoomLight);
  private afterG = false;

  constructor() {
    offerCommands(() => (this.asking.all ? this.commands() : []));
    this.memory.load();
    inject(Following);
  }

  protected async openCommands(): Promise<void> {
    const { CommandDialog } = await import('./places/command-dialog/command-dialog');
    await this.open(CommandDialog, { width: '560px', maxWidth: '94vw', position: { top: '84px' }, ariaLabel: 'Go to or do' });
  }

  protected async openSettings(): Promise<void> {
    const { WorkshopDialog } = await import('./places/workshop-dialog/workshop-dialog');
    await this.open(WorkshopDialog, { width: '680px', maxWidth: '96vw', ariaLabel: 'This workshop' });
  }

  protected async openHelp(): Promise<void> {
    const { HelpDialog } = await import('./places/help-dialog/help-dialog');
    await this.open(HelpDialog, { width: '560px', ariaLabel: 'Help and keys' });
  }

  private commands(): readonly Command[] {
    const go =
      (path: string, queryParams = {}) =>
      () =>
        void this.router.navigate([path], { queryParams });
    const evening = this.light.now() === 'evening';
    return [
      ...places.map(({ path, name, key }) => ({ group: 'Go to', name, keys: `g ${key}`, run: go(path) })),
      { group: 'Go to', name: 'What the bench will take, and what to buy', run: () => void this.openNeeds() },
      { group: 'Go to', name: 'Orders', run: go('/week/orders') },
      { group: 'Go to', name: 'Stock over the weeks', run: go('/week/stock') },
      { group: 'Go to', name: 'Money: costs and prices', run: go('/week/money') },
      { group: 'Go to', name: 'Palettes', run: go('/shelf/palettes') },
      { group: 'Go to', name: 'Logbook of what was made', run: go('/log') },
      { group: 'Go to', name: 'What weighings taught', run: go('/learnt') },
      { group: 'Go to', name: 'Recently removed', run: go('/designs', { where: 'removed' }) },
      { group: 'Go to', name: 'Archived designs', run: go('/designs', { where: 'archive' }) },
      { group: 'Begin', name: 'A new design', run: () => void this.beginDesign() },
      { group: 'Begin', name: 'Practise: a plan with six mistakes', run: () => void this.practise() },
      { group: 'Begin', name: 'Measure a cup', run: go('/cups', { tape: 'out' }) },
      { group: 'Begin', name: 'Put a glitter on the shelf', run: go('/shelf', { kind: 'glitter' }) },
      { group: 'Begin', name: 'Put an ink on the shelf', run: go('/shelf', { kind: 'ink' }) },
      { group: 'Begin', name: 'Put a resin on the shelf', run: go('/shelf', { kind: 'resin' }) },
      { group: 'This workshop', name: 'Units, room and schools', run: () => void this.openSettings() },
      ...(this.asking.who === 'here'
        ? [{ group: 'This workshop', name: 'A phone or tablet beside the cup', run: () => void this.openSharing() }]
        : []),
      { group: 'This workshop', name: 'Kept safe: backups and what was taken away', run: () => void this.openKeptSafe() },
      {
        group: 'This workshop',
        name: evening ? 'Daylight on this screen' : 'Evening light on this screen',
        run: () => this.light.choose(evening ? 'day' : 'evening'),
      },
      { group: 'This workshop', name: 'Help, keys and words', keys: '?', run: () => void this.openHelp() },
    ];
  }

  private async beginDesign(): Promise<void> {
    const { KeptDesigns } = await import('./services/kept-designs');
    this.injector
      .get(KeptDesigns)
      .begin(this.memory.cups().at(0)?.cup)
      .subscribe({
        next: ({ document }) => void this.router.navigate(['/designs', document.id, 'cup']),
        error: (error: unknown) => this.notices.failed(error),
      });
  }

  private async practise(): Promise<void> {
    const { PracticeDesigns } = await import('./services/practice');
    this.injector.get(PracticeDesigns).mistakes();
  }

  protected async openNeeds(): Promise<void> {
    const { NeedsDialog } = await import('./places/needs-dialog/needs-dialog');
    await this.open(NeedsDialog, { width: '760px', maxWidth: '96vw', ariaLabel: 'What the bench will take' });
  }

  private async openSharing(): Promise<void> {
    const { SharingDialog } = await import('./places/sharing-dialog/sharing-dialog');
    await this.open(SharingDialog, { width: '620px', maxWidth: '96vw', ariaLabel: 'A phone or tablet' });
  }

  private async openKeptSafe(): Promise<void> {
    const { KeptSafeDialog } = await import('./places/kept-safe/kept-safe');
    await this.open(KeptSafeDialog, { width: '620px', ariaLabel: 'Kept safe' });
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
    const place = this.places.find(({ key }) => key === event.key);
    if (this.afterG && place) void this.router.navigateByUrl(place.path);
    this.afterG = event.key === 'g';
    if (event.key === '?') void this.openHelp();
    if (event.key === '.' && this.asking.all) {
      event.preventDefault();
      void this.openCommands();
    }
    if (event.key === '/') {
      const search = document.querySelector<HTMLInputElement>('input[type=search]');
      search?.focus();
      if (search) event.preventDefault();
    }
  }
}
