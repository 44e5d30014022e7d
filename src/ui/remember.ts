/** Keeps a preference of this browser in a cookie for a year. */
export function remember(name: 'lengths' | 'theme' | 'keys', value: string): void {
  document.cookie = `${name}=${value}; path=/; max-age=31536000; samesite=lax`;
}
