import { Dialog, DialogPanel } from '@headlessui/react';
import type { ComponentProps } from 'react';
import { SignInForm } from './SignInForm.tsx';

/** The form over the page on which a session ended. */
export function SignInAgain({ session }: Pick<ComponentProps<typeof SignInForm>, 'session'>) {
  return (
    <Dialog open onClose={() => undefined} className="relative z-50">
      <div className="fixed inset-0 overflow-y-auto bg-paper/95">
        <DialogPanel>
          <SignInForm session={session} again />
        </DialogPanel>
      </div>
    </Dialog>
  );
}
