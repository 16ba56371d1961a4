import { deserialize, serialize } from 'node:v8';

/** A value on its way from one thread to another by way of the event loop, which carries it without opening it. */
export interface Packed<T> {
  readonly bytes: Uint8Array;
  /** Only the compiler asks: what is in it. */
  readonly of?: T;
}

export const pack = <T>(value: T): Packed<T> => ({ bytes: serialize(value) });

export const unpack = <T>({ bytes }: Packed<T>): T => deserialize(bytes) as T;
