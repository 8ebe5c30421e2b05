/** A setting of this browser, such as its theme; none where nothing can be kept. */
export function settingOf(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a setting for the next time; where that cannot be done it holds for now. */
export function keepSetting(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // It holds for now.
  }
}
