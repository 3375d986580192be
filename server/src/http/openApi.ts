import { applyDecorators } from '@nestjs/common';
import { ApiExtraModels, ApiProperty, ApiResponse, getSchemaPath } from '@nestjs/swagger';

class FieldErrorSchema {
  @ApiProperty() path: string;
  @ApiProperty() message: string;
  @ApiProperty({ required: false, description: 'What was sent there, shortened.' }) received?: unknown;
}

/** RFC 9457, with what was wrong in `errors`, at most twenty, and how many more in `moreErrors`. */
export class ProblemSchema {
  @ApiProperty() type: string;
  @ApiProperty() title: string;
  @ApiProperty() status: number;
  @ApiProperty({ required: false }) detail?: string;
  @ApiProperty({ type: () => FieldErrorSchema, isArray: true, required: false }) errors?: FieldErrorSchema[];
  @ApiProperty({ required: false }) moreErrors?: number;
}

const meanings: Readonly<Record<number, string>> = {
  400: 'Some values cannot be used: each is named by its path.',
  404: 'There is no such record.',
  409: 'Changed meanwhile (the record as it is comes with it), or used elsewhere (by whom).',
  422: 'What is asked cannot be done: code, words and the numbers behind them.',
  503: 'Too much is being calculated, or nothing can be kept just now: Retry-After says when to ask again.',
};

/** The problems an endpoint may answer with; any may be busy. */
export function ProblemResponses(...statuses: number[]) {
  return applyDecorators(
    ApiExtraModels(ProblemSchema),
    ...[...statuses, 503].map((status) =>
      ApiResponse({
        status,
        description: meanings[status] ?? '',
        content: { 'application/problem+json': { schema: { $ref: getSchemaPath(ProblemSchema) } } },
      }),
    ),
  );
}
