import { ApiProperty } from '@nestjs/swagger';
import { Allow } from 'class-validator';
import { Values } from '../../http/fields';

const optional = { optional: true };

/** What was estimated of a test flight when it was recorded, as it was then; either an answer or a refusal. */
export class FrozenEstimateDto {
  @Values() request: object;
  @Values(optional) answer: object | null;
  /** Of an early record only the words are kept. */
  @ApiProperty({ nullable: true, oneOf: [{ type: 'object' }, { type: 'string' }] })
  @Allow()
  refusal: object | string | null;
}
