/** What this browser remembers of its own: which light, how far a lesson is. Without storage it forgets, and works. */
export function keptHere(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch (error) {
    console.warn('This browser remembers nothing', error);
    return null;
  }
}

export function keepHere(key: string, value: string | null): void {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch (error) {
    console.warn('This browser remembers nothing', error);
  }
}
