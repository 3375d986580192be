import type { Kind } from '@acorn-tally/core';
import type { Type } from '@nestjs/common';
import { OmitType } from '@nestjs/swagger';
import { FitDto } from '../../calculations/dto/fit.dto';
import { Id, InRange, Instant, many, Part, Text, Texts, Values } from '../../http/fields';
import { versionRange } from '../../http/replacement';
import { contentDtos } from './contentDtos';
import { FrozenEstimateDto } from './frozenEstimate.dto';

export class DamagedRecordDto {
  @Id() id: string;
  @Texts(Number.POSITIVE_INFINITY) complaints: string[];
}

/** What is made once with a record, and comes with it; not in lists. */
const createdWith: { readonly [K in Kind]?: (Content: Type<object>) => Type<object> } = {
  testFlights: (Content) => {
    class WithEstimate extends Content {
      @Part(() => FrozenEstimateDto, { optional: true }) estimate?: FrozenEstimateDto;
    }
    return WithEstimate;
  },
};

/** What a list leaves out of a fit. */
class ListedFitDto extends OmitType(FitDto, ['flights', 'nextTests', 'findings']) {}

const listedAs: { readonly [K in Kind]?: (Record: Type<object>) => Type<object> } = {
  fits: (Record) => {
    class Listed extends Record {
      @Part(() => ListedFitDto) fit: ListedFitDto;
    }
    return Listed;
  },
};

/** The forms in which a kind of record is sent and answered, each made from what is written of it. */
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
  class Record extends (createdWith[kind]?.(Content) ?? Content) {
    @Id() id: string;
    @Instant() createdAt: string;
    @Instant() updatedAt: string;
    @InRange(versionRange) version: number;
  }
  const Listed = listedAs[kind]?.(Record) ?? Record;
  class Page {
    /** What is large is left out of a list. */
    @Part(() => Listed, many) items: object[];
    /** Names the next page; null on the last. */
    @Text({ optional: true }) nextCursor: string | null;
    /** What follows from some records, by id; no part of what is kept. */
    @Values() told: object;
    /** Records that cannot be read as they are kept: left out, and not touched. */
    @Part(() => DamagedRecordDto, many) damaged: DamagedRecordDto[];
  }
  const name = Content.name.replace(/Dto$/, '');
  return {
    made: named(Made, `New${name}`),
    replacement: named(Replacement, `${name}Replacement`),
    record: named(Record, `${name}Record`),
    page: named(Page, `${name}Page`),
  };
}

/** The OpenAPI document calls a class by its name. */
function named<T extends Type<object>>(form: T, name: string): T {
  Object.defineProperty(form, 'name', { value: name });
  return form;
}
