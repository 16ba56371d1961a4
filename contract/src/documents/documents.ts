import {
  benchAnswersCodec,
  caseCodec,
  inspectionAnswersCodec,
  inspectionSheetCodec,
  type JsonSchema,
  keptReportCodec,
  policyCodec,
  type ReadResult,
  read,
  readPolicy,
  readRigDocument,
  rigCodec,
} from '@wainrope/core';
import type { DocumentName } from './document-field.ts';

interface WireDocument {
  /** As it stands in the API document. */
  readonly schema: JsonSchema;
  /** Reads one that arrives, faults by their path; `answered`: it goes out only. */
  readonly read: ((value: unknown, path: string) => ReadResult<unknown>) | 'answered';
  /** What is said where one that arrives is not understood. */
  readonly refused?: string;
}

/** What each document is read and described by. */
export const documents: { readonly [N in DocumentName]: WireDocument } = {
  Rig: { schema: rigCodec.schema, read: readRigDocument, refused: 'This rig is not understood; nothing was saved.' },
  Case: { schema: caseCodec.schema, read: 'answered' },
  Policy: { schema: policyCodec.schema, read: readPolicy },
  InspectionSheet: { schema: inspectionSheetCodec.schema, read: (value, path) => read(inspectionSheetCodec, value, path) },
  InspectionAnswers: { schema: inspectionAnswersCodec.schema, read: (value, path) => read(inspectionAnswersCodec, value, path) },
  BenchAnswers: { schema: benchAnswersCodec.schema, read: (value, path) => read(benchAnswersCodec, value, path) },
  ToldReport: {
    schema: {
      type: 'object',
      additionalProperties: true,
      description: 'What this version of core says of a case: verdict, findings with their words, figures.',
    },
    read: 'answered',
  },
  KeptReport: { schema: keptReportCodec.schema, read: 'answered' },
  Finding: {
    schema: {
      type: 'object',
      additionalProperties: true,
      description: 'What a rule of this version of core found; its words are made when it is shown.',
    },
    read: 'answered',
  },
  Sketch: {
    schema: { type: 'object', additionalProperties: true, description: 'A rig as a small drawing, in pixels.' },
    read: 'answered',
  },
};
