import 'reflect-metadata';
import { IsObject } from 'class-validator';

/** Core's documents that go over the wire, by the names that they have in the API document. */
export const documentNames = [
  'Rig',
  'Case',
  'Policy',
  'InspectionSheet',
  'InspectionAnswers',
  'BenchAnswers',
  'ToldReport',
  'KeptReport',
  'Finding',
  'Sketch',
] as const;
export type DocumentName = (typeof documentNames)[number];

const KEY = 'wainrope:documents';

interface DocumentFields {
  readonly [property: string]: DocumentName;
}

/** A field that holds a document of core: its envelope is checked here, what it says by the document's own codec. */
export function DocumentField(name: DocumentName): PropertyDecorator {
  return (target, property) => {
    IsObject()(target, property);
    Reflect.defineMetadata(KEY, { ...documentFieldsOf(target), [property]: name }, target);
  };
}

/** The documents that a contract class holds, by field; of its prototype. */
export const documentFieldsOf = (prototype: object): DocumentFields => Reflect.getMetadata(KEY, prototype) ?? {};
