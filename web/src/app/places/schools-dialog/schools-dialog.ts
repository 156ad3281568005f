import { ChangeDetectionStrategy, Component, computed, inject, type Signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { schoolWays, type OwnSchools, type School, type Schools } from '@aurantia/core';
import { BUTTONS } from '../../parts/buttons';
import { Chips } from '../../parts/chips/chips';
import { WorkshopMemory } from '../../services/workshop';

/** A design's own ways; for the workshop's there are none. */
export interface DesignWays {
  readonly own: Signal<OwnSchools>;
  readonly change: (own: OwnSchools) => void;
}

/** What stands for “as the workshop does it”. */
const ITS = 'as the workshop';

/** Where makers disagree: each school with what speaks for and against its ways, for all designs or for one. */
@Component({
  selector: 'au-schools-dialog',
  imports: [BUTTONS, Chips, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ design ? 'Ways of this design' : 'Ways of this workshop' }}</h2>
    <mat-dialog-content>
      <p class="soft">
        Makers disagree here, and both sides make good cups. The check, the waits and what is suggested follow your way.
      </p>
      @for (row of rows(); track row.school) {
        <section>
          <h3>{{ row.asks }}</h3>
          <au-chips [label]="row.asks" [several]="false" [chips]="row.chips" (pressed)="choose(row.school, $event)" />
          <p><b>For it:</b> {{ row.way.good }} <b>Against:</b> {{ row.way.bad }}</p>
        </section>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button type="button" matButton="outlined" mat-dialog-close cdkFocusInitial>Done</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-dialog-content {
      display: grid;
      gap: 16px;
    }
    section {
      display: grid;
      gap: 5px;
    }
    h3 {
      font-size: 0.9375rem;
    }
    section p {
      font-size: 0.8125rem;
      color: var(--soft);
      max-width: 66ch;
    }
  `,
})
export class SchoolsDialog {
  private readonly memory = inject(WorkshopMemory);
  protected readonly design = inject<DesignWays | null>(MAT_DIALOG_DATA);

  protected readonly rows = computed(() => {
    const settings = this.memory.settings();
    const own = this.design?.own();
    return (Object.keys(schoolWays) as School[]).map((school) => {
      const { asks, ways } = schoolWays[school];
      const now = own?.[school] ?? settings[school];
      const chosen = own && own[school] === undefined ? ITS : now;
      const chips = ways.map(({ way, name }) => ({ id: way as string, name, on: way === chosen }));
      const its = ways.find(({ way }) => way === settings[school])?.name ?? '';
      return {
        school,
        asks,
        chips: own ? [{ id: ITS, name: `${ITS}: ${its}`, on: chosen === ITS }, ...chips] : chips,
        way: ways.find(({ way }) => way === now) ?? ways[0],
      };
    });
  });

  protected choose(school: School, way: string): void {
    const change = { [school]: way } as Partial<Schools>;
    if (!this.design) {
      this.memory.changeSettings(change);
      return;
    }
    const { [school]: before, ...others } = this.design.own();
    if (way === ITS && before === undefined) return;
    this.design.change(way === ITS ? others : { ...others, ...change });
  }
}
