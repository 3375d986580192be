import { type Content, type Kind, problemsOf, recordKinds } from '@acorn-tally/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Inject,
  Param,
  Post,
  Put,
  Query,
  type Type,
} from '@nestjs/common';
import {
  ApiBody,
  ApiCreatedResponse,
  ApiHeader,
  ApiNoContentResponse,
  ApiOkResponse,
  ApiOperation,
  ApiTags,
} from '@nestjs/swagger';
import type { IdempotentRequest } from '../database/idempotentWrites';
import { PageQueryDto, VersionQueryDto } from '../http/dto/queries.dto';
import { IdempotencyKey } from '../http/idempotencyKey';
import { ProblemResponses } from '../http/openApi';
import { validated, validatedQuery } from '../http/validated';
import { formsOf } from './dto/forms';
import { Records } from './records';

const onceHeader = {
  name: 'Idempotency-Key',
  required: false,
  description: 'The same key twice writes once, so that what saw no answer may be sent again.',
};

export const recordsOf = (kind: Kind) => `records of ${kind}`;

/** The endpoints every kind of record has: list, read, make, replace whole, delete, bring back. */
export function controllerOf<K extends Kind>(kind: K): Type<object> {
  const { made, replacement, record, page } = formsOf(kind);
  const { path, noun, nouns } = recordKinds[kind];
  const problems = (content: object) => problemsOf(kind, content as Content<K>);

  @ApiTags('records')
  @Controller(path)
  class RecordController {
    constructor(@Inject(recordsOf(kind)) private readonly records: Records<K>) {}

    @Get()
    @ApiOperation({ summary: `A page of ${nouns}, oldest first` })
    @ApiOkResponse({ type: page })
    @ProblemResponses(400, 404)
    list(@Query(validatedQuery(PageQueryDto)) { limit, cursor }: PageQueryDto) {
      return this.records.list(limit, cursor ?? null);
    }

    @Get(':id')
    @ApiOperation({ summary: `One ${noun}` })
    @ApiOkResponse({ type: record })
    @ProblemResponses(404)
    get(@Param('id') id: string) {
      return this.records.get(id);
    }

    @Post()
    @ApiOperation({ summary: `A new ${noun}, under an id of your own if you name one` })
    @ApiHeader(onceHeader)
    @ApiBody({ type: made })
    @ApiCreatedResponse({ type: record })
    @ProblemResponses(400, 409, 422)
    create(@Body(validated(made, problems)) body: object, @IdempotencyKey() once: IdempotentRequest | null) {
      const { id, ...content } = body as Content<K> & { id?: string | null };
      return this.records.create(content as unknown as Content<K>, id ?? undefined, once);
    }

    @Put(':id')
    @ApiOperation({ summary: `Replaces the whole ${noun}; refused with 409 if version is stale` })
    @ApiHeader(onceHeader)
    @ApiBody({ type: replacement })
    @ApiOkResponse({ type: record })
    @ProblemResponses(400, 404, 409, 422)
    replace(
      @Param('id') id: string,
      @Body(validated(replacement, problems)) body: object,
      @IdempotencyKey() once: IdempotentRequest | null,
    ) {
      const { version, ...content } = body as Content<K> & { version: number };
      return this.records.replace(id, version, content as unknown as Content<K>, once);
    }

    @Delete(':id')
    @HttpCode(204)
    @ApiOperation({
      summary: `Deletes a ${noun} for thirty days, then for good; refused with 409 while others name it, or if a version is given and stale`,
    })
    @ApiNoContentResponse()
    @ProblemResponses(404, 409)
    remove(@Param('id') id: string, @Query(validatedQuery(VersionQueryDto)) { version }: VersionQueryDto) {
      return this.records.remove(id, version ?? null);
    }

    @Post(':id/restore')
    @ApiOperation({ summary: 'Brings back what was deleted in the last thirty days' })
    @ApiCreatedResponse({ type: record })
    @ProblemResponses(404, 409)
    restore(@Param('id') id: string) {
      return this.records.restore(id);
    }
  }
  Object.defineProperty(RecordController, 'name', { value: `${recordKinds[kind].path}Controller` });
  return RecordController;
}
