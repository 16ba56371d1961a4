import { createRequire } from 'node:module';
import type { INestApplication } from '@nestjs/common';
import { ApiProperty, type ApiPropertyOptions, DocumentBuilder, type OpenAPIObject, SwaggerModule } from '@nestjs/swagger';
import * as contract from '@wainrope/contract';
import { getMetadataStorage } from 'class-validator';
import { SESSION_COOKIE, SESSION_SCHEME } from '../actor/route-access.ts';
import { toldOperations } from './openapi-operations.ts';

type Constructor = new () => object;
interface Rule {
  readonly name?: string;
  readonly type: string;
  readonly constraints: readonly unknown[];
  readonly propertyName: string;
}
interface TypeStorage {
  findTypeMetadata(target: Constructor, property: string): { readonly typeFunction: () => Constructor } | undefined;
}

/** class-transformer keeps nested types in a storage that has no typed export. */
const { defaultMetadataStorage } = createRequire(import.meta.url)('class-transformer/cjs/storage.js') as {
  defaultMetadataStorage: TypeStorage;
};

function ruleOptions(rules: readonly Rule[]): ApiPropertyOptions {
  const named = (name: string) => rules.find((rule) => rule.name === name);
  const options = named('isIn')?.constraints[0];
  const pattern = named('matches')?.constraints[0];
  const [minimum, maximum] = [named('min')?.constraints[0], named('max')?.constraints[0]];
  const [minLength, maxLength] = (named('isLength')?.constraints ?? [undefined, named('maxLength')?.constraints[0]]) as (
    | number
    | undefined
  )[];
  return {
    ...scalar(
      named,
      rules.some(({ type }) => type !== 'conditionalValidation'),
    ),
    ...(options !== undefined && { type: 'string', enum: options as string[] }),
    ...(pattern instanceof RegExp && { pattern: pattern.source }),
    ...(typeof minimum === 'number' && { minimum }),
    ...(typeof maximum === 'number' && { maximum }),
    ...(minLength !== undefined && { minLength }),
    ...(maxLength !== undefined && { maxLength }),
  } as ApiPropertyOptions;
}

/** A field that no rule says anything of may hold any value. */
const ANYTHING = [
  { type: 'string' },
  { type: 'number' },
  { type: 'boolean' },
  { type: 'object', additionalProperties: true },
  { type: 'array', items: {} },
];

function scalar(named: (name: string) => Rule | undefined, isChecked: boolean): ApiPropertyOptions {
  if (named('isInt')) return { type: 'integer' };
  if (named('isNumber')) return { type: 'number' };
  if (named('isBoolean')) return { type: 'boolean' };
  if (named('isObject')) return { type: 'object', additionalProperties: true };
  if (named('isUuid')) return { type: 'string', format: 'uuid' };
  return isChecked ? { type: 'string' } : ({ anyOf: ANYTHING } as ApiPropertyOptions);
}

function describeProperty(target: Constructor, property: string, rules: readonly Rule[]): void {
  const document = contract.documentFieldsOf(target.prototype)[property];
  const nested = defaultMetadataStorage.findTypeMetadata(target, property)?.typeFunction();
  const isArray = rules.some(({ name }) => name === 'isArray');
  const isOptional = rules.some(({ type }) => type === 'conditionalValidation');
  const isNested = nested !== undefined && rules.some(({ type }) => type === 'nestedValidation');
  const options = document
    ? { allOf: [{ $ref: `#/components/schemas/${document}` }] }
    : isNested
      ? ({ type: () => nested } as ApiPropertyOptions)
      : ruleOptions(rules);
  ApiProperty({ ...options, isArray, required: !isOptional } as ApiPropertyOptions)(target.prototype, property);
}

const isContractClass = (value: unknown): value is Constructor =>
  typeof value === 'function' && /^class\b/.test(Function.prototype.toString.call(value));

/** Derives the API's schemas from the contract's own validation rules, so that nothing is declared twice. */
function describeContract(): void {
  for (const entry of Object.values(contract)) {
    if (!isContractClass(entry)) continue;
    const target: Constructor = entry;
    const rules: readonly Rule[] = getMetadataStorage().getTargetValidationMetadatas(target, '', false, false);
    const properties = [...new Set(rules.map(({ propertyName }) => propertyName))];
    for (const property of properties)
      describeProperty(
        target,
        property,
        rules.filter(({ propertyName }) => propertyName === property),
      );
  }
}

export function openApiDocument(app: INestApplication): OpenAPIObject {
  describeContract();
  const config = new DocumentBuilder()
    .setTitle('Wainrope')
    .setDescription('Register of recovery gear and checked rig plans. SI units: N, m, kg, rad.')
    .setVersion('1')
    .addCookieAuth(SESSION_COOKIE, { type: 'apiKey', in: 'cookie', description: 'Set by signing in.' }, SESSION_SCHEME)
    .build();
  const document = SwaggerModule.createDocument(app, config, {
    operationIdFactory: (_controller, method) => method,
    extraModels: [contract.Problem],
  });
  return {
    ...document,
    paths: toldOperations(document),
    components: { ...document.components, schemas: { ...document.components?.schemas, ...documentSchemas() } },
  };
}

/** Core's documents under their names, as their codecs declare them; one inside another is told by its name. */
function documentSchemas() {
  const named = new Map<unknown, string>(contract.documentNames.map((name) => [contract.documents[name].schema, name]));
  const inside = (schema: unknown): unknown => {
    const name = named.get(schema);
    if (name !== undefined) return { $ref: `#/components/schemas/${name}` };
    if (Array.isArray(schema)) return schema.map(inside);
    return typeof schema === 'object' && schema !== null ? open(schema) : schema;
  };
  const open = (schema: object) => Object.fromEntries(Object.entries(schema).map(([key, value]) => [key, inside(value)]));
  return Object.fromEntries(contract.documentNames.map((name) => [name, open(contract.documents[name].schema)]));
}
