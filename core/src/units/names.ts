export const nameLength = { min: 1, max: 60 } as const;

/** What is wrong with a name, or null. */
export function nameProblem(label: string, name: string): string | null {
  const length = name.trim().length;
  if (length < nameLength.min) return `${label} is empty.`;
  if (length > nameLength.max) return `${label} is longer than ${nameLength.max} characters.`;
  return null;
}

/** Characters of a text that is kept: a note, a reason. */
export const longestText = 2000;
