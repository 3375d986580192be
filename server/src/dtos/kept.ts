import type { Kind } from '@acorn-tally/core';
import type { Type } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { Id, InRange, Instant } from '../http/fields';
import { versionRange } from '../http/replacement';
import { contentDtos } from './contents';

/** The forms in which a kind of record crosses the door, each made from what is written of it. */
export interface Forms {
  /** POST: its maker may name it. */
  readonly made: Type<object>;
  /** PUT: with the version it was made from. */
  readonly replacement: Type<object>;
  /** What is answered. */
  readonly record: Type<object>;
  readonly page: Type<object>;
}

export function formsOf(kind: Kind): Forms {
  const Content = contentDtos[kind];
  class Made extends Content {
    @Id({ optional: true }) id?: string | null;
  }
  class Replacement extends Content {
    @InRange(versionRange) version: number;
  }
  class Record extends Content {
    @Id() id: string;
    @Instant() createdAt: string;
    @Instant() updatedAt: string;
    @InRange(versionRange) version: number;
  }
  class Page {
    @ApiProperty({ type: () => Record, isArray: true, description: 'What is large is left out of a list.' })
    items: object[];
    @ApiProperty({ type: String, nullable: true, description: 'Names the next page; null on the last.' })
    nextCursor: string | null;
    @ApiProperty({
      type: Object,
      additionalProperties: { type: 'object' },
      description: 'What follows from some records, by id; no part of what is kept.',
    })
    told: object;
    @ApiProperty({
      type: 'array',
      items: {
        type: 'object',
        properties: {
          id: { type: 'string' },
          complaints: { type: 'array', items: { type: 'string' } },
        },
        required: ['id', 'complaints'],
      },
      description: 'Records that cannot be read as they are kept: left out, and not touched.',
    })
    damaged: object[];
  }
  const name = Content.name.replace(/Dto$/, '');
  return {
    made: named(Made, `New${name}`),
    replacement: named(Replacement, `${name}Replacement`),
    record: named(Record, `${name}Record`),
    page: named(Page, `${name}Page`),
  };
}

/** The OpenAPI document calls a form as its class is called. */
function named<T extends Type<object>>(form: T, name: string): T {
  Object.defineProperty(form, 'name', { value: name });
  return form;
}
