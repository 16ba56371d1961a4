import { type ArgumentMetadata, ValidationPipe } from '@nestjs/common';
import { type DocumentName, documentFieldsOf, documents } from '@wainrope/contract';
import type { ValidationError } from 'class-validator';
import { type FieldFault, invalid } from './problem.ts';
import { unstorable } from './storable.ts';

function faultsOf(errors: readonly ValidationError[], path = ''): FieldFault[] {
  return errors.flatMap((error) => {
    const here = /^\d+$/.test(error.property) ? `${path}[${error.property}]` : path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.values(error.constraints ?? {}).map((message) => ({ path: here, message }));
    return [...own, ...faultsOf(error.children ?? [], here)];
  });
}

/**
 * Validates every body and query against its contract class; unknown fields are refused by name. A document of core in a body is read by
 * its own codec, so that what a service is handed is what its type says.
 */
class ContractPipe extends ValidationPipe {
  override async transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    const faults = unstorable(value, metadata.type === 'body' ? '' : (metadata.data ?? ''));
    if (faults.length > 0) throw invalid(faults);
    const body: unknown = await super.transform(value, metadata);
    return metadata.type === 'body' && isObject(body) ? withDocuments(body) : body;
  }
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/** The body with each document as its codec reads it, also those of the envelopes that stand in lists of it. */
function withDocuments(body: Record<string, unknown>, path = ''): object {
  const read = documentFieldsOf(Object.getPrototypeOf(body));
  for (const [field, value] of Object.entries(body)) {
    const here = path === '' ? field : `${path}.${field}`;
    const name = read[field];
    if (name !== undefined) body[field] = asDocument(name, value, here);
    else if (Array.isArray(value)) {
      for (const [index, item] of value.entries()) if (isEnvelope(item)) withDocuments(item, `${here}[${index}]`);
    }
  }
  return body;
}

/** An instance of a contract class, which validation has made of plain data. */
const isEnvelope = (value: unknown): value is Record<string, unknown> =>
  isObject(value) && Object.getPrototypeOf(value) !== Object.prototype;

function asDocument(name: DocumentName, value: unknown, path: string): unknown {
  const { read, refused } = documents[name];
  if (value === undefined || read === 'answered') return value;
  const result = read(value, path);
  if (!result.ok) throw invalid(result.faults, refused);
  return result.value;
}

export const validation = new ContractPipe({
  transform: true,
  whitelist: true,
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => invalid(faultsOf(errors)),
});
