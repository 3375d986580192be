import { capitalize } from '../parts/capitalize';

/** What a step did to what it names, so that a notice says how things are now. */
const outcomes: readonly (readonly [doing: string, done: string])[] = [
  ['removing', 'removed'],
  ['retiring', 'retired'],
  ['bringing back', 'is back'],
  ['adding', 'added'],
  ['setting up', 'is set up'],
  ['importing', 'imported'],
  ['splitting', 'split'],
];

/** "removing Jay 5" → "Jay 5 removed"; what has no such form is said as done. */
export function doneInWords(label: string): string {
  for (const [doing, done] of outcomes)
    if (label.startsWith(`${doing} `)) return capitalize(`${label.slice(doing.length + 1)} ${done}`);
  return `Done: ${label}`;
}
