import { SamplesCheck } from '@acorn-tally/core';
import { Controller, Get, Header, HttpCode, Param, Put, Req } from '@nestjs/common';
import {
  ApiBody,
  ApiConsumes,
  ApiNoContentResponse,
  ApiOkResponse,
  ApiOperation,
  ApiProduces,
  ApiTags,
} from '@nestjs/swagger';
import type { Request } from 'express';
import { NoSuchRecord } from '../database/errors';
import { Stores } from '../database/stores';
import { keepSamples, samplesOf } from '../database/telemetry';
import { ProblemResponses } from '../http/openApi';
import { invalid, problem } from '../http/problem';

/** A day at ten a second is some 60 MB. */
const maxBytes = 64_000_000;

/** The samples a test flight was read from: a table of its own form, beside the record and never searched. */
@ApiTags('records')
@Controller('test-flights')
export class TelemetryController {
  constructor(private readonly stores: Stores) {}

  @Put(':id/samples')
  @HttpCode(204)
  @ApiOperation({
    summary: 'Keeps the samples of a test flight, streamed as CSV, in the place of those it had',
  })
  @ApiConsumes('text/csv')
  @ApiBody({ schema: { type: 'string' } })
  @ApiNoContentResponse()
  @ProblemResponses(400, 404, 413)
  async keep(@Param('id') id: string, @Req() request: Request): Promise<void> {
    const { database } = this.stores;
    await database.read((reader) => this.stores.of('testFlights').get(reader, id));
    const pieces = await streamed(request);
    await database.write(async (transaction) => {
      await this.stores.of('testFlights').get(transaction, id);
      await keepSamples(transaction, id, pieces);
    });
  }

  @Get(':id/samples')
  @Header('content-type', 'text/csv; charset=utf-8')
  @ApiOperation({ summary: 'The samples a test flight was read from' })
  @ApiProduces('text/csv')
  @ApiOkResponse({ schema: { type: 'string' } })
  @ProblemResponses(404)
  async samples(@Param('id') id: string): Promise<string> {
    const { database } = this.stores;
    const text = await database.read(async (reader) => {
      await this.stores.of('testFlights').get(reader, id);
      return samplesOf(reader, id);
    });
    if (text === null) throw new NoSuchRecord('samples of this test flight', id);
    return text;
  }
}

/** The body as it comes in, looked through on the way; refused as soon as it is too long, or none of it. */
async function streamed(request: Request): Promise<readonly string[]> {
  const pieces: string[] = [];
  const decoder = new TextDecoder();
  const check = new SamplesCheck();
  let length = 0;
  const take = (text: string) => {
    check.feed(text);
    pieces.push(text);
  };
  for await (const piece of request as AsyncIterable<Buffer>) {
    length += piece.length;
    if (length > maxBytes) {
      throw problem('too-large', 'The samples are too many.', 413, {
        detail: 'At most 64 MB are kept of one flight.',
      });
    }
    take(decoder.decode(piece, { stream: true }));
    if (check.wrongLine !== null) throw wrongLine(check.wrongLine);
  }
  take(decoder.decode());
  const line = check.end();
  if (line !== null) throw wrongLine(line);
  return pieces;
}

function wrongLine(line: number) {
  return invalid([{ path: `line ${line}`, message: 'This is no line of samples.' }]);
}
