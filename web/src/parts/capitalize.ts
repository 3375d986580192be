/** As the first word of a sentence. */
export function capitalize(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The same within a sentence. */
export function uncapital(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
