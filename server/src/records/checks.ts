import { type Kind, kinds } from '@acorn-tally/core';
import type { Check } from '../database/recordStore';
import { complaintsAbout } from '../http/validated';
import { contentDtos } from './dto/contentDtos';

/** What is read is looked through by the rules of the entrance, so that what somebody else wrote breaks no view. */
export const checks = Object.fromEntries(
  kinds.map((kind) => [kind, (content: object) => complaintsAbout(contentDtos[kind], content)]),
) as Readonly<Record<Kind, Check>>;
