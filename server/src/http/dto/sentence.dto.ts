import { Text, Values } from '../fields';

/** Something that is said: a code, its words in SI, and the template and values that make them in other units. */
export class SentenceDto {
  @Text() code: string;
  @Text() template: string;
  @Values() values: Record<string, number | string>;
  @Text() message: string;
}
