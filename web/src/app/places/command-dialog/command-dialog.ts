import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatAutocomplete, MatAutocompleteTrigger, type MatAutocompleteSelectedEvent } from '@angular/material/autocomplete';
import { MatOptgroup, MatOption } from '@angular/material/core';
import { MatDialogRef } from '@angular/material/dialog';
import { MatFormField } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Router } from '@angular/router';
import { factOf, foundCups, foundOnShelf } from '@aurantia/core';
import { catchError, debounceTime, of, switchMap } from 'rxjs';
import { Commands, type Command } from '../../services/commands';
import { DesignList } from '../../services/designs';
import { WorkshopMemory } from '../../services/workshop';

/** ms a pause in typing is long before designs are looked for. */
const PAUSE = 120;
/** So many of each kind are enough to choose from. */
const MOST = 6;

/** Goes to any place and does anything by its name: typed, chosen by arrows, done by Enter. */
@Component({
  selector: 'au-command-dialog',
  imports: [MatAutocomplete, MatAutocompleteTrigger, MatFormField, MatInput, MatOptgroup, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field appearance="outline" subscriptSizing="dynamic">
      <input
        #field
        matInput
        aria-label="Go to or do"
        placeholder="a place, a deed, a design, a jar, a cup"
        maxlength="80"
        [matAutocomplete]="offers"
        (input)="words.set(field.value)"
      />
    </mat-form-field>
    <mat-autocomplete
      #offers
      autoActiveFirstOption
      class="commands"
      [hideSingleSelectionIndicator]="true"
      (optionSelected)="run($event)"
    >
      @for (group of groups(); track group.name) {
        <mat-optgroup [label]="group.name">
          @for (one of group.commands; track one.name) {
            <mat-option [value]="one">
              <span class="command"
                ><span>{{ one.name }}</span> <kbd>{{ one.keys }}</kbd></span
              >
            </mat-option>
          }
        </mat-optgroup>
      }
    </mat-autocomplete>
    @if (groups().length === 0) {
      <p class="soft">Nothing is called so. Try a shorter word.</p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 14px;
    }
    p {
      padding: 10px 2px 0;
    }
  `,
})
export class CommandDialog {
  private readonly commands = inject(Commands);
  private readonly memory = inject(WorkshopMemory);
  private readonly list = inject(DesignList);
  private readonly router = inject(Router);
  private readonly ref = inject<MatDialogRef<CommandDialog>>(MatDialogRef);
  protected readonly words = signal('');
  private readonly designs = toSignal(
    toObservable(this.words).pipe(
      debounceTime(PAUSE),
      // Where designs can't be looked for, all else can still be done.
      switchMap((words) => (words.trim() === '' ? of([]) : this.list.named(words.trim()).pipe(catchError(() => of([]))))),
    ),
    { initialValue: [] },
  );
  protected readonly groups = computed(() => {
    const words = this.words().toLowerCase().split(/\s+/).filter(Boolean);
    const fits = (...texts: readonly string[]) => words.every((word) => texts.some((text) => text.toLowerCase().includes(word)));
    const deeds = this.commands.all().filter(({ name, group }) => fits(name, group));
    const groups = new Map<string, Command[]>();
    for (const deed of deeds) groups.set(deed.group, [...(groups.get(deed.group) ?? []), deed]);
    if (words.length > 0) {
      groups.set(
        'Designs',
        this.designs()
          .slice(0, MOST)
          .map(({ id, name, cup }) => this.goes(`${name}, ${cup}`, ['/designs', id, 'cup'])),
      );
      groups.set(
        'On the shelf',
        foundOnShelf(this.memory.shelf(), { words: this.words(), colour: null, cut: null }, factOf)
          .slice(0, MOST)
          .map(({ item }) => this.goes(item.name, ['/shelf'], { item: item.id })),
      );
      groups.set(
        'Cups',
        foundCups(this.memory.cups(), this.words())
          .slice(0, MOST)
          .map(({ id, cup }) => this.goes(cup.name, ['/cups'], { cup: id })),
      );
    }
    return [...groups].map(([name, commands]) => ({ name, commands })).filter(({ commands }) => commands.length > 0);
  });

  protected run({ option }: MatAutocompleteSelectedEvent): void {
    this.ref.close();
    (option.value as Command).run();
  }

  private goes(name: string, path: readonly string[], queryParams: Record<string, string> = {}): Command {
    return { name, group: '', run: () => void this.router.navigate([...path], { queryParams }) };
  }
}
