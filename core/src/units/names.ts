export const nameLength = { min: 1, max: 60 } as const;

/** Characters of a text that is kept: a note, a reason. */
export const maxTextLength = 2000;

/** Control characters (Unicode, category Cc) and the two separators that break a line. */
const controlOrBreak = /[\p{Cc}\u2028\u2029]/u;
const controlInText = /[^\P{Cc}\t\r\n]/u;
/** Half of a character: a surrogate without its other half (Unicode, category Cs), which no database gives back as it came. */
const halfCharacter = /\p{Cs}/u;
/** Something that can be seen: no control, format character, mark, space, blank Braille cell or character that is drawn as nothing. */
const visible = /[^\p{Cc}\p{Cf}\p{Cs}\p{M}\p{Z}\p{Default_Ignorable_Code_Point}\u2800]/u;

/** What is wrong with a name, or null. It stands on one line, can be seen, and is kept as it is written. */
export function nameProblem(label: string, name: string): string | null {
  const length = name.trim().length;
  if (length < nameLength.min) return `${label} is empty.`;
  if (length > nameLength.max) return `${label} is longer than ${nameLength.max} characters.`;
  if (/[\r\n\u2028\u2029]/.test(name)) return `${label} must stand on one line.`;
  if (controlOrBreak.test(name)) return `${label} holds a control character, which nobody can see.`;
  if (halfCharacter.test(name)) return `${label} holds half of a character.`;
  return visible.test(name) ? null : `${label} holds nothing that can be seen.`;
}

/** What is wrong with a longer text, or null; it may have lines and tabs. */
export function textProblem(label: string, text: string): string | null {
  if (text.length > maxTextLength) return `${label} holds at most ${maxTextLength} characters.`;
  if (controlInText.test(text)) return `${label} holds a control character, which nobody can see.`;
  return halfCharacter.test(text) ? `${label} holds half of a character.` : null;
}

/** A text made fit to be a name, with a tail that is not cut: on one line, without controls and halved characters. Empty where nothing is left. */
export function fittingName(text: string, tail = ''): string {
  const line = text
    .replace(new RegExp(controlOrBreak, 'gu'), ' ')
    .replace(new RegExp(halfCharacter, 'gu'), '');
  const cut = line.trim().slice(0, nameLength.max - tail.length);
  const name = `${cut.replace(halfCharacter, '').trimEnd()}${tail}`;
  return visible.test(name) ? name : '';
}
