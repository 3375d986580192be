import { type Content, type Kind, recordKinds } from '@acorn-tally/core';
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
  ApiQuery,
  ApiTags,
} from '@nestjs/swagger';
import type { IdempotentRequest } from '../database/idempotentWrites';
import { formsOf } from '../dtos/kept';
import { IdempotencyKey } from '../http/idempotencyKey';
import { ProblemResponses } from '../http/openApi';
import { oneText, pageSize, versionNamed } from '../http/queries';
import { validated } from '../http/validated';
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

  @ApiTags('records')
  @Controller(path)
  class RecordController {
    constructor(@Inject(recordsOf(kind)) private readonly records: Records<K>) {}

    @Get()
    @ApiOperation({ summary: `A page of ${nouns}, oldest first` })
    @ApiQuery({ name: 'limit', required: false })
    @ApiQuery({ name: 'cursor', required: false })
    @ApiOkResponse({ type: page })
    @ProblemResponses(400, 404)
    list(@Query('limit') limit?: unknown, @Query('cursor') cursor?: unknown) {
      return this.records.list(pageSize(limit), oneText('cursor', cursor));
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
    create(@Body(validated(made)) body: object, @IdempotencyKey() once: IdempotentRequest | null) {
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
      @Body(validated(replacement)) body: object,
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
    @ApiQuery({ name: 'version', required: false })
    @ApiNoContentResponse()
    @ProblemResponses(404, 409)
    remove(@Param('id') id: string, @Query('version') version?: unknown) {
      return this.records.remove(id, versionNamed(version));
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
