const points = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
];
const words: Readonly<Record<string, string>> = { north: 'N', east: 'E', south: 'S', west: 'W' };

/** Degrees of a compass point written as pilots do: "W" → 270, "WSW" → 247.5, "south-west" → 225; null for any other word. */
export function readCompass(text: string): number | null {
  const letters = text
    .trim()
    .toLowerCase()
    .replace(/north|east|south|west/g, (word) => words[word] as string)
    .replace(/[\s-]/g, '')
    .toUpperCase();
  const place = points.indexOf(letters);
  return place < 0 ? null : (place * 360) / points.length;
}
