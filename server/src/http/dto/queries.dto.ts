import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsInt, IsOptional, IsString, Max, Min, ValidateIf } from 'class-validator';

const largestPage = 200;
const pageMessage = { message: `A page holds from 1 to ${largestPage} records.` };
const versionMessage = { message: 'A version is a whole number from 1.' };

export class PageQueryDto {
  @ApiProperty({ required: false, minimum: 1, maximum: largestPage, default: largestPage })
  @Type(() => Number)
  @IsInt(pageMessage)
  @Min(1, pageMessage)
  @Max(largestPage, pageMessage)
  limit: number = largestPage;

  /** Given twice, a query parameter is a list. */
  @ApiProperty({ required: false })
  @IsString({ message: 'cursor is given once.' })
  @IsOptional()
  cursor?: string;
}

export class VersionQueryDto {
  @ApiProperty({ required: false, minimum: 1 })
  @ValidateIf((_, value) => value !== undefined)
  @Type(() => Number)
  @IsInt(versionMessage)
  @Min(1, versionMessage)
  @Max(Number.MAX_SAFE_INTEGER, versionMessage)
  version?: number;
}
