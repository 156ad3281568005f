import { ChangeDetectionStrategy, Component, ElementRef, input, output, viewChild } from '@angular/core';

/** Asks for a file; what opens it is a button beside it. The browser's own dialog has no stand-in. */
@Component({
  selector: 'au-file',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<input
    #field
    type="file"
    class="unseen"
    tabindex="-1"
    [accept]="accept()"
    [attr.aria-label]="label()"
    (change)="taken()"
  />`,
})
export class FileField {
  readonly label = input.required<string>();
  /** endings and types, as HTML writes them */
  readonly accept = input.required<string>();
  readonly chosen = output<File>();
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  open(): void {
    this.field().nativeElement.click();
  }

  protected taken(): void {
    const { nativeElement } = this.field();
    const file = nativeElement.files?.item(0);
    // The same file can be chosen again, once it was mended.
    nativeElement.value = '';
    if (file) this.chosen.emit(file);
  }
}
