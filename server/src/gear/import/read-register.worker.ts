import { inThread } from '../../threads/in-thread.ts';
import { readRegister } from './read-register.ts';

export default inThread(readRegister);
