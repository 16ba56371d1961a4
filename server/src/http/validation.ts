import { type ArgumentMetadata, ValidationPipe } from '@nestjs/common';
import { documentFieldsOf, documents } from '@wainrope/contract';
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

/** The body with each document as its codec reads it. */
function withDocuments(body: Record<string, unknown>): object {
  for (const [field, name] of Object.entries(documentFieldsOf(Object.getPrototypeOf(body)))) {
    const { read, refused } = documents[name];
    if (body[field] === undefined || read === 'answered') continue;
    const result = read(body[field], field);
    if (!result.ok) throw invalid(result.faults, refused);
    body[field] = result.value;
  }
  return body;
}

export const validation = new ContractPipe({
  transform: true,
  whitelist: true,
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => invalid(faultsOf(errors)),
});
