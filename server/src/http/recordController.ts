import type { Kept } from '@acorn-tally/core';
import { Body, Delete, Get, HttpCode, Param, Post, Put, Query, type Type } from '@nestjs/common';
import { ApiBody, ApiOperation, ApiQuery } from '@nestjs/swagger';
import type { Page } from '../database/recordStore';
import { invalid } from './problem';
import { validated } from './validated';

/** A page of records, and what follows from some of them, by id. */
export interface ToldPage<T> extends Page<T> {
  readonly told: Readonly<Record<string, object>>;
}

/** What a service of records offers to its controller. */
export interface RecordService<Content extends object> {
  list(limit: number, cursor: string | null): Promise<ToldPage<Kept & Content>>;
  get(id: string): Promise<Kept & Content>;
  create(content: Content): Promise<Kept & Content>;
  replace(id: string, version: number, content: Content): Promise<Kept & Content>;
  remove(id: string): Promise<void>;
  restore(id: string): Promise<Kept & Content>;
}

const largestPage = 200;

/**
 * The endpoints every kind of record has: list, read, make, replace whole, delete, bring back.
 * A module extends the class and gives it a path.
 */
export function recordController<Content extends object>(
  ContentDto: Type<Content>,
  ReplacementDto: Type<Content & { version: number }>,
) {
  abstract class RecordController {
    abstract readonly service: RecordService<Content>;

    @Get()
    @ApiOperation({ summary: 'A page of records, oldest first' })
    @ApiQuery({ name: 'limit', required: false })
    @ApiQuery({ name: 'cursor', required: false })
    list(@Query('limit') limit?: string, @Query('cursor') cursor?: string) {
      return this.service.list(pageSize(limit), cursor ?? null);
    }

    @Get(':id')
    get(@Param('id') id: string) {
      return this.service.get(id);
    }

    @Post()
    @ApiBody({ type: ContentDto })
    create(@Body(validated(ContentDto)) content: object) {
      return this.service.create(content as Content);
    }

    @Put(':id')
    @ApiBody({ type: ReplacementDto })
    @ApiOperation({ summary: 'Replaces the whole record; refused with 409 if version is stale' })
    replace(@Param('id') id: string, @Body(validated(ReplacementDto)) replacement: object) {
      const { version, ...content } = replacement as Content & { version: number };
      return this.service.replace(id, version, content as unknown as Content);
    }

    @Delete(':id')
    @HttpCode(204)
    remove(@Param('id') id: string) {
      return this.service.remove(id);
    }

    @Post(':id/restore')
    @ApiOperation({ summary: 'Brings back what was deleted in the last thirty days' })
    restore(@Param('id') id: string) {
      return this.service.restore(id);
    }
  }
  return RecordController;
}

function pageSize(limit: string | undefined): number {
  if (limit === undefined) return largestPage;
  const size = Number(limit);
  if (Number.isInteger(size) && size >= 1 && size <= largestPage) return size;
  throw invalid([
    { path: 'limit', message: `A page holds from 1 to ${largestPage} records.`, received: limit },
  ]);
}
