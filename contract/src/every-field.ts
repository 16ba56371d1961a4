/** The fields of a type that may be missing, all of them to be named. */
export type OptionalOf<T> = { readonly [K in OptionalKey<T>]: T[K] | undefined };
type OptionalKey<T> = { [K in keyof T]-?: object extends Pick<T, K> ? K : never }[keyof T];

/** What is left once every field has been taken: a field that is added to a type and taken nowhere does not compile. */
export function nothingLeft(_rest: { readonly [field: string]: never }): void {}

type Given<T> = { readonly [K in keyof T]?: Exclude<T[K], undefined> };

/** Fields that hold something; every field has to be named, so that none is forgotten. */
export function filled<T extends object>(all: T): Given<T>;
export function filled(all: object): object {
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined));
}
