/** Failures within this time count. */
export const WINDOW_MINUTES = 15;
/** A successful sign-in this recently makes an address known for an account. */
export const KNOWN_DAYS = 30;

/** Failures that are borne within the window. */
const FROM_ONE_ADDRESS_FOR_ONE_NAME = 5;
const FOR_ONE_NAME = 30;
const FROM_ONE_ADDRESS = 60;

export interface RecentFailures {
  readonly pair: number;
  readonly login: number;
  readonly address: number;
  /** This account has signed in from this address within the last weeks. */
  readonly known: boolean;
}

/**
 * Whether one more attempt is let through. A name tried too often from one address waits there. Guessing one name from many
 * addresses, or many names from one, is stopped too, yet not for an account at an address where it has signed in before: so
 * neither a stranger nor a clumsy colleague behind the same connection locks a team out.
 */
export function mayTry({ pair, login, address, known }: RecentFailures): boolean {
  if (pair >= FROM_ONE_ADDRESS_FOR_ONE_NAME) return false;
  return known || (login < FOR_ONE_NAME && address < FROM_ONE_ADDRESS);
}
