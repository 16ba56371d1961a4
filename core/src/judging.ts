/** The door to what solves rigs: for the worker of the pages, the server and the command line. SI units throughout (N, m, kg, s, rad). */

export { advantageAt } from './advice/advantage-at.ts';
export { compareAnchors } from './advice/compare-anchors.ts';
export { lightestBag } from './advice/lightest-bag.ts';
export { sparedRigs } from './advice/spared-rigs.ts';
export { tagReadings } from './advice/tag-readings.ts';
export { tryPieces } from './advice/try-pieces.ts';
export { whereToStand } from './advice/where-to-stand.ts';
export type { Judged } from './judgement/ask/judged.ts';
export { explainFigure, figuresOf } from './judgement/explain/explain-figure.ts';
export { explainPlace } from './judgement/explain/explain-place.ts';
export { judge, judgedCase, judgedStart, judgedSteps, judgeStart } from './judgement/judge.ts';
export { countedShares, type GaugeAt, lineShares, type RiggedShare, type SharesOutcome } from './judgement/line-shares.ts';
export { letGoAt } from './judgement/report/let-go-at.ts';
export { momentReport } from './judgement/report/moment-report.ts';
export { reportOf } from './judgement/report/write-report.ts';
export { runUpCurves } from './judgement/run-up-curves.ts';
export {
  type PullFile,
  pullFileCodec,
  type RunUpFile,
  runUpFileCodec,
  simulatePull,
  simulateRunUp,
} from './judgement/simulate.ts';
export { timelineOf } from './pull/timeline.ts';
