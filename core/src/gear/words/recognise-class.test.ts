import { describe, expect, it } from 'vitest';
import { type GearClass, gearClasses, gearClassNames } from '../classes/gear-classes.ts';
import { classWords } from './class-words.ts';
import { openWords, otherThings } from './open-words.ts';
import { plainWords, recogniseClass } from './recognise-class.ts';

const briefly = (text: string): string => {
  const found = recogniseClass(text);
  if (found.kind === 'open') return `? ${found.classes.join(' ')}`;
  return found.kind === 'unknown' ? '-' : `${found.kind === 'known' ? '' : '~ '}${found.gear}`;
};

describe('what people call a piece', () => {
  it('is known by every name of its class, in either number', () => {
    for (const kind of gearClassNames) {
      const { label, plural } = gearClasses[kind];
      for (const name of [kind, label, plural, ...classWords[kind]])
        expect([name, recogniseClass(name.toUpperCase())]).toMatchObject([name, { kind: 'known', gear: kind }]);
    }
  });

  it('stands in the tables once, as it is looked for', () => {
    const all = [...Object.values(classWords).flat(), ...openWords.map(({ word }) => word), ...otherThings];
    expect(all.filter((word) => plainWords(word).join(' ') !== word)).toEqual([]);
    expect(all.filter((word, index) => all.indexOf(word) !== index)).toEqual([]);
    for (const { classes } of openWords)
      for (const { beside } of classes) expect(beside.filter((word) => plainWords(word).join(' ') !== word)).toEqual([]);
  });

  it.each<[string, GearClass]>([
    ['Tree protector', 'tree-strap'],
    ['Bow Shackles', 'steel-shackle'],
    ['kinetic rope', 'stretch-rope'],
    ['Ratchet strap', 'load-securing-strap'],
    ['Lift jack', 'lifting-jack'],
    ['D-shackle 3/4"', 'steel-shackle'],
    ['Traction boards', 'traction-boards'],
    ['Safety glasses', 'eye-protection'],
    ['Winch extension', 'winch-extension-strap'],
  ])('%s is known', (text, gear) => {
    expect(recogniseClass(text)).toMatchObject({ kind: 'known', gear });
  });

  it.each([
    ['Bow shackle galvanised, 3/4", 4.75t', '~ steel-shackle'],
    ['Shackle, soft', '~ soft-shackle'],
    ['Strap (tree)', '~ tree-strap'],
    ['Rope - kinetic 9 m', '~ stretch-rope'],
    ['Strap – ratchet, 5 m', '~ load-securing-strap'],
    ['Winch shackle', '~ steel-shackle'],
    ['Soft shackle for winch rope', '~ soft-shackle'],
    ['Bag for tree straps', '-'],
    ['Kinetic rope bag', '-'],
    ['Winch cover', '-'],
    ['Shackle pin, spare', '-'],
    ['Snow chains', '-'],
    ['Hand winch 1.6 t', '-'],
    ['Winch rope', '? winch-line-synthetic winch-line-steel'],
    ['Winch rope 10mm x 28m, synthetic', '~ winch-line-synthetic'],
    ['Winch rope (galv. wire)', '~ winch-line-steel'],
    ['Strap', '? tree-strap stretch-rope static-strap winch-extension-strap load-securing-strap'],
    ['Strap 60 mm x 3 m for trees', '~ tree-strap'],
    ['Shackle 11 mm (soft)', '~ soft-shackle'],
    ['Shackle 11 mm, fibre core', '? soft-shackle steel-shackle'],
    ['Traction boards (pair)', '~ traction-boards'],
    ['Recovery rope', '? winch-line-synthetic winch-line-steel stretch-rope line-extension'],
    ['12V electric winch 9500 lb', 'winch'],
    ['Box', '-'],
    ['', '-'],
    ['4.75 t', '-'],
  ])('%s: %s', (text, answer) => {
    expect(briefly(text)).toBe(answer);
  });

  it('is known with its spelling mended, as a guess', () => {
    const mend = (word: string) => (word === 'shakle' ? 'shackle' : word);
    expect(recogniseClass('Bow shakle', mend)).toEqual({ kind: 'likely', gear: 'steel-shackle', word: 'bow shackle' });
    expect(recogniseClass('Bow shakle')).toEqual({ kind: 'unknown' });
  });
});
