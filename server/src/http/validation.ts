import { ValidationPipe } from '@nestjs/common';
import type { ValidationError } from 'class-validator';
import { type FieldFault, invalid } from './problem.ts';

function faultsOf(errors: readonly ValidationError[], path = ''): FieldFault[] {
  return errors.flatMap((error) => {
    const here = /^\d+$/.test(error.property) ? `${path}[${error.property}]` : path === '' ? error.property : `${path}.${error.property}`;
    const own = Object.values(error.constraints ?? {}).map((message) => ({ path: here, message }));
    return [...own, ...faultsOf(error.children ?? [], here)];
  });
}

/** Validates every body and query against its contract class; unknown fields are refused by name. */
export const validation = new ValidationPipe({
  transform: true,
  whitelist: true,
  forbidNonWhitelisted: true,
  exceptionFactory: (errors) => invalid(faultsOf(errors)),
});
