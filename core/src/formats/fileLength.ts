import { refuse } from '../units/outcome';

/** Characters; a month of hours or a large kit is a tenth of it. What is longer is some other file. */
export const longestFile = 2_000_000;

export function fileTooLong(text: string) {
  return refuse('file-too-long', 'The file is too long: {charactersCount} characters, at most {mostCount}.', {
    charactersCount: text.length,
    mostCount: longestFile,
  });
}
