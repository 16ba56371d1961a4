import { inThread } from '../../threads/in-thread.ts';
import { compareRegister } from './compare-register.ts';

export default inThread(compareRegister);
