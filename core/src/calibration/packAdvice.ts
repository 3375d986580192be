import { type Sentence, sentence } from '../units/sentence';
import type { EstimatedPack } from './fit';

/** A pack must give so much less than the others, beyond its own spread, before it is told apart (assumed). */
const minLess = 0.03;

export type PackAdvice = Sentence<'gives-less' | 'as-the-others'>;

/** What follows from what flights taught of a pack: one that clearly gives less than the others is for short shots. Null for one without others. */
export function packAdvice({ againstOthers }: Pick<EstimatedPack, 'againstOthers'>): PackAdvice | null {
  if (!againstOthers) return null;
  const { value, spread } = againstOthers;
  if (value + spread < -minLess) {
    return sentence(
      'gives-less',
      'Gives {lessFraction} less than the others, ±{spreadCount}: keep it for short shots',
      { lessFraction: -value, spreadCount: Math.max(1, Math.round(100 * spread)) },
    );
  }
  return sentence('as-the-others', 'Gives as much as the others, ±{spreadCount} %', {
    spreadCount: Math.max(1, Math.round(100 * spread)),
  });
}
