import type { FlakeField } from '@aurantia/core';
import { dequal } from 'dequal';
import type { FlakeRequest } from '../workers/flake-request';

/** What pictures may take up, bytes: some ten cups as they stand on a page. */
const MOST = 32 * 2 ** 20;

interface Seen {
  readonly request: FlakeRequest;
  readonly field: FlakeField;
}

/**
 * The pictures of flakes that were shown last, for who comes back to one: from another stage, from home, by Undo.
 * Asked by what is on the cup, as a design that is opened again comes as new objects.
 */
export class FieldsSeen {
  private seen: readonly Seen[] = [];

  /** The picture of such a wish, if it is still here; it counts as the latest then. */
  of(request: FlakeRequest): FlakeField | null {
    const found = this.seen.find((one) => dequal(one.request, request));
    if (!found) return null;
    this.seen = [found, ...this.seen.filter((one) => one !== found)];
    return found.field;
  }

  /** Keeps a picture on which all flakes lie; those that were looked at longest ago make room for it. */
  keep(request: FlakeRequest, field: FlakeField): void {
    let room = MOST;
    this.seen = [{ request, field }, ...this.seen].filter((one) => (room -= bytesOf(one.field)) >= 0);
  }
}

const bytesOf = ({ tokens, owner, colours }: FlakeField): number =>
  tokens.byteLength + (owner?.byteLength ?? 0) + (colours?.colours.byteLength ?? 0);
