/** Tells everybody who listens that a make has changed, so that other windows show it at once. */
export class MakeChanges {
  private readonly listeners = new Set<(id: string) => void>();

  /** @returns what ends it */
  listen(told: (id: string) => void): () => void {
    this.listeners.add(told);
    return () => void this.listeners.delete(told);
  }

  tell(id: string): void {
    for (const told of this.listeners) told(id);
  }
}
