import type { UseFormRegisterReturn } from 'react-hook-form';
import { Labelled } from '../shell/Labelled.tsx';

interface AccountFieldsProps {
  /** Missing where the sign-in name stays. */
  readonly login?: UseFormRegisterReturn;
  readonly password: UseFormRegisterReturn;
  readonly faults: { readonly [path: string]: string | undefined };
}

/** The name and password that somebody will sign in with. */
export function AccountFields({ login, password, faults }: AccountFieldsProps) {
  return (
    <>
      {login && (
        <Labelled label="Sign-in name" fault={faults.login}>
          <input {...login} autoComplete="username" autoCapitalize="none" spellCheck={false} />
        </Labelled>
      )}
      <Labelled label="Password" fault={faults.password}>
        <input {...password} type="password" autoComplete="new-password" />
      </Labelled>
      <p className="text-[15px] text-quiet">Ten characters or more; a short sentence is easy to keep.</p>
    </>
  );
}
