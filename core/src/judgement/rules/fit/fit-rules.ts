import type { Rule } from '../../ask/rule.ts';
import { lengthUnknown } from './length-unknown.ts';
import { narrowGroove } from './narrow-groove.ts';
import { openingTooNarrow } from './opening-too-narrow.ts';
import { pinDoesNotFit } from './pin-does-not-fit.ts';
import { softShackleDoesNotPass } from './soft-shackle-does-not-pass.ts';
import { thinPin } from './thin-pin.ts';
import { throatTooNarrow } from './throat-too-narrow.ts';
import { tightBend } from './tight-bend.ts';

export const fitRules: readonly Rule[] = [
  lengthUnknown,
  narrowGroove,
  openingTooNarrow,
  pinDoesNotFit,
  softShackleDoesNotPass,
  thinPin,
  throatTooNarrow,
  tightBend,
];
