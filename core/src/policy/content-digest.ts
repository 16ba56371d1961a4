import { canonicalJson } from './canonical-json.ts';

/**
 * A digest of content, 14 hexadecimal digits: equal content gives equal digests wherever it was made, other content another one but for
 * one chance in 2^53. For telling whether two parties speak of the same; no protection against anybody who wants them to look the same.
 * Two 32-bit multiplicative hashes over the UTF-16 units of the canonical JSON, each mixed into the other at the end.
 */
export function contentDigest(value: unknown): string {
  const text = canonicalJson(value);
  let [high, low] = [0xdeadbeef, 0x41c6ce57];
  for (let at = 0; at < text.length; at += 1) {
    const unit = text.charCodeAt(at);
    high = Math.imul(high ^ unit, 2654435761);
    low = Math.imul(low ^ unit, 1597334677);
  }
  const mixedHigh = mixed(high) ^ spread(low);
  const mixedLow = mixed(low) ^ spread(high);
  return hex(mixedLow & 0x1fffff, 6) + hex(mixedHigh >>> 0, 8);
}

const mixed = (half: number) => Math.imul(half ^ (half >>> 16), 2246822507);
const spread = (half: number) => Math.imul(half ^ (half >>> 13), 3266489909);
const hex = (value: number, digits: number) => value.toString(16).padStart(digits, '0');
