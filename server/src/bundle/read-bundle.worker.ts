import { inThread } from '../threads/in-thread.ts';
import { bundleFaults } from './read-bundle.ts';

export default inThread(bundleFaults);
