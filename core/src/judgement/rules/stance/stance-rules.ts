import type { Rule } from '../../ask/rule.ts';
import { engineOff } from './engine-off.ts';
import { heldOnPark } from './held-on-park.ts';
import { jackWithoutStand } from './jack-without-stand.ts';
import { loadRunsAside } from './load-runs-aside.ts';
import { mayTip } from './may-tip.ts';
import { noChocks } from './no-chocks.ts';
import { runsByItself } from './runs-by-itself.ts';
import { tips } from './tips.ts';
import { tipsAtGreatest } from './tips-at-greatest.ts';
import { vehicleSlides } from './vehicle-slides.ts';
import { vehicleSlidesAtGreatest } from './vehicle-slides-at-greatest.ts';
import { wheelsHelp } from './wheels-help.ts';
import { willNotRun } from './will-not-run.ts';

export const stanceRules: readonly Rule[] = [
  wheelsHelp,
  willNotRun,
  engineOff,
  heldOnPark,
  jackWithoutStand,
  loadRunsAside,
  mayTip,
  noChocks,
  runsByItself,
  tips,
  tipsAtGreatest,
  vehicleSlides,
  vehicleSlidesAtGreatest,
];
