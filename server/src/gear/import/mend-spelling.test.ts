import { expect, it } from 'vitest';
import { spellingOf } from './mend-spelling.ts';

const mend = spellingOf(['shackle', 'strap', 'kinetic', 'protector', 'extension', 'length', 'chain', 'chair']);

it.each([
  ['shackel', 'shackle'],
  ['shakle', 'shackle'],
  ['lenght', 'length'],
  ['kinetik', 'kinetic'],
  ['protecter', 'protector'],
  ['exension', 'extension'],
  ['exensiun', 'extension'],
  ['extesnion', 'extension'],
  ['strap', 'strap'],
  // Two slips in a short word, four letters, another first letter: left as they are.
  ['shkale', 'shkale'],
  ['strp', 'strp'],
  // Three slips in a long one.
  ['exensoin', 'exensoin'],
  ['hackle', 'hackle'],
  // As near to one as to the other.
  ['chait', 'chait'],
])('%s is %s', (word, mended) => {
  expect(mend(word)).toBe(mended);
});
