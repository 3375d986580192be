/** How a file's first bytes say it is encoded: by its byte-order mark, else by the zeros of UTF-16, else UTF-8. */
export function encodingOf(first: Uint8Array): 'utf-8' | 'utf-16le' | 'utf-16be' {
  if (first[0] === 0xff && first[1] === 0xfe) return 'utf-16le';
  if (first[0] === 0xfe && first[1] === 0xff) return 'utf-16be';
  if (first.length > 3 && first[0] !== 0 && first[1] === 0 && first[3] === 0) return 'utf-16le';
  if (first.length > 3 && first[0] === 0 && first[1] !== 0 && first[2] === 0) return 'utf-16be';
  return 'utf-8';
}
