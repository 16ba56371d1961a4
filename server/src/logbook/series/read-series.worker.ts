import { inThread } from '../../threads/in-thread.ts';
import { readSeries } from './read-series.ts';

export default inThread(readSeries);
