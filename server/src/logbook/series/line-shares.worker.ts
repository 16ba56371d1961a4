import type { Case } from '@wainrope/core';
import { lineShares } from '@wainrope/core/judging';
import { inThread } from '../../threads/in-thread.ts';
import type { SharesInput } from './series.service.ts';

export default inThread(({ subject, at }: SharesInput) => lineShares(subject as Case, at));
