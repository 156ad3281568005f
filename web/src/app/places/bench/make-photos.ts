import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { farthestOff, lastCoatOn, photosApart, type MakePhoto, type MakePhotos } from '@aurantia/core/make';
import type { Observable } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { FileField } from '../../parts/fields/file-field';
import { MakePhotosMemory } from '../../services/make-photos';
import type { LoggedMake } from '../../services/makes';
import { Notices } from '../../services/notices';
import { WorkshopTime } from '../../services/workshop-time';
import { momentText } from '../../parts/moment-text';

/** Photos of a make: added, laid beside the plan and earlier makes, taken away. */
@Component({
  selector: 'au-make-photos',
  imports: [BUTTONS, FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Photos</h3>
    <ul aria-label="Photos of this make">
      @for (photo of rows(); track photo.id) {
        <li>
          <button
            type="button"
            matButton="outlined"
            class="open"
            [attr.aria-label]="'Photo of ' + photo.when + ', beside the plan'"
            (click)="lay(photo.photo)"
          >
            <img [src]="photo.small" alt="" width="120" height="120" />
          </button>
          <span>{{ photo.when }}</span>
          <small>{{ photo.says }}</small>
          <button
            type="button"
            matButton
            [attr.aria-label]="'Take away the photo of ' + photo.when"
            (click)="take(photos.remove(photo.id))"
          >
            Take away
          </button>
        </li>
      }
      <li>
        <button type="button" matButton="outlined" [disabled]="busy()" (click)="file.open()">
          {{ busy() ? 'Taking it in…' : 'Add a photo' }}
        </button>
        <au-file
          #file
          label="Photo of this cup"
          accept="image/jpeg,image/png,image/webp"
          (chosen)="take(photos.add(logged().make.id, $event))"
        />
        <small>With a white or grey card beside the cup its colours can be read. It stays on this computer.</small>
      </li>
    </ul>
    @if (apart().length > 0) {
      <h4 id="apart">How far it is off by its photos, all together</h4>
      <dl aria-labelledby="apart">
        @for (one of apart(); track one.from) {
          <dt>from {{ one.from }}</dt>
          <dd>
            <b>ΔE {{ one.off }} ± {{ one.spread }}</b> {{ one.says }}
          </dd>
        }
      </dl>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-bottom: 18px;
    }
    h3 {
      margin: 0 0 6px;
      font: 700 1.125rem/1.2 var(--title);
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 16px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      align-content: start;
      gap: 2px;
      max-width: 220px;
    }
    .open {
      height: auto;
      padding: 6px;
    }
    img {
      display: block;
      object-fit: cover;
      border-radius: 6px;
    }
    small {
      color: var(--soft);
    }
    h4 {
      margin: 12px 0 4px;
      font: 700 1rem/1.2 var(--title);
    }
    dl {
      display: grid;
      grid-template-columns: max-content 1fr;
      gap: 4px 16px;
      margin: 0;
    }
    dd {
      margin: 0;
    }
  `,
})
export class MakePhotosStrip {
  private readonly dialogs = inject(MatDialog);
  private readonly notices = inject(Notices);
  private readonly time = inject(WorkshopTime);
  protected readonly photos = inject(MakePhotosMemory);
  readonly logged = input.required<LoggedMake>();

  private readonly here = signal<MakePhotos>({ photos: [], others: [] });
  protected readonly busy = signal(false);
  protected readonly rows = computed(() =>
    this.here().photos.map((photo) => ({
      photo,
      id: photo.id,
      small: this.photos.address(photo.id, 'small'),
      when: momentText(Date.parse(photo.at), this.time.minute()),
      says: photo.reading ? `read: ${worst(photo)}` : 'not read yet',
    })),
  );
  protected readonly apart = computed(() => {
    const { make, entries } = this.logged();
    const { plan, makes } = photosApart(make, entries, this.here());
    const from = [
      ...(plan ? [{ from: 'the plan', ...plan }] : []),
      ...makes.map((one) => ({ from: `make ${one.number}`, ...one })),
    ];
    return from.map((one) => ({ ...one, off: one.off.toFixed(1), spread: one.spread.toFixed(1) }));
  });
  private readonly makeId = computed(() => this.logged().make.id);

  constructor() {
    effect(() => {
      const id = this.makeId();
      untracked(() => this.take(this.photos.of(id)));
    });
  }

  protected take(reply: Observable<MakePhotos>): void {
    this.busy.set(true);
    reply.subscribe({
      next: (photos) => {
        this.busy.set(false);
        this.here.set(photos);
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
      },
    });
  }

  protected async lay(photo: MakePhoto): Promise<void> {
    const { PhotoBeside } = await import('./photo-beside');
    const { make, entries } = this.logged();
    const last = lastCoatOn(make, entries, Date.parse(photo.at));
    this.dialogs
      .open(PhotoBeside, {
        width: '1120px',
        maxWidth: '98vw',
        ariaLabel: 'A photo beside the plan',
        data: { make, photo, last, others: this.here().others },
      })
      .afterClosed()
      .subscribe(() => this.take(this.photos.of(make.id)));
  }
}

function worst({ reading }: MakePhoto): string {
  const most = reading && farthestOff(reading);
  return most ? `${most.name} is farthest off, ΔE ${most.off.toFixed(1)} ± ${most.spread.toFixed(1)}` : 'nothing seen';
}
