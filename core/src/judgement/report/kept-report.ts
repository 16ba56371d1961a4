import { type ReadResult, read, type TypeOf } from '../../codec/codec.ts';
import { choice, day, flag, text } from '../../codec/scalars.ts';
import { list, optional, record } from '../../codec/structures.ts';
import { severities } from '../ask/told.ts';

/** What a kept report tells whichever version of core wrote it; its figures and sentences are that version's alone. */
export const keptReportCodec = record({
  coreVersion: text({ maxLength: 20 }),
  verdict: choice(['clear', 'clear-judged', 'watch', 'stop']),
  goodUntil: optional(day),
  /** The weakest piece as people named it then. */
  weakest: optional(text({ maxLength: 200 })),
  findings: list(record({ code: text({ maxLength: 80 }), severity: choice(severities), undecided: flag }), { max: 5000 }),
});
export type KeptReport = TypeOf<typeof keptReportCodec>;

interface Fields {
  readonly [key: string]: unknown;
}
const fieldsOf = (value: unknown): Fields => (typeof value === 'object' && value !== null ? { ...value } : {});
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Reads a report that this or an earlier version of core wrote, for what all of them tell. */
export function readKeptReport(value: unknown): ReadResult<KeptReport> {
  const { coreVersion, verdict, goodUntil, weakestPlaceId, places, findings } = fieldsOf(value);
  const weakest = listOf(places)
    .map(fieldsOf)
    .find(({ id }) => id === weakestPlaceId);
  return read(
    keptReportCodec,
    {
      coreVersion,
      verdict,
      ...(goodUntil !== undefined && { goodUntil }),
      ...(weakest && { weakest: [weakest.tag, weakest.name].filter(Boolean).join(' ') }),
      findings: listOf(findings)
        .map(fieldsOf)
        .map(({ code, severity, undecided }) => ({ code, severity, undecided })),
    },
    'report',
  );
}
