import type { Rule } from '../../ask/rule.ts';
import { connectorUnlocked } from './connector-unlocked.ts';
import { gripWrongRope } from './grip-wrong-rope.ts';
import { interlacedWithoutSpacer } from './interlaced-without-spacer.ts';
import { lengthUnknown } from './length-unknown.ts';
import { mountDoesNotFit } from './mount-does-not-fit.ts';
import { narrowGroove } from './narrow-groove.ts';
import { openingTooNarrow } from './opening-too-narrow.ts';
import { pinDoesNotFit } from './pin-does-not-fit.ts';
import { softShackleDoesNotPass } from './soft-shackle-does-not-pass.ts';
import { thinPin } from './thin-pin.ts';
import { throatTooNarrow } from './throat-too-narrow.ts';
import { tightBend } from './tight-bend.ts';
import { webbingOverPulley } from './webbing-over-pulley.ts';
import { webbingThickness } from './webbing-thickness.ts';

export const fitRules: readonly Rule[] = [
  connectorUnlocked,
  gripWrongRope,
  interlacedWithoutSpacer,
  lengthUnknown,
  mountDoesNotFit,
  narrowGroove,
  openingTooNarrow,
  pinDoesNotFit,
  softShackleDoesNotPass,
  thinPin,
  throatTooNarrow,
  tightBend,
  webbingOverPulley,
  webbingThickness,
];
