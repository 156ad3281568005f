import { Directive, input } from '@angular/core';

/** A set of fields that can be read but not changed while it is locked; ours ask for it, the browser's own know. */
@Directive({ selector: 'fieldset[auLocked]', host: { '[disabled]': 'auLocked()' } })
export class Locked {
  readonly auLocked = input.required<boolean>();
}
