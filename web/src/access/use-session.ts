import { type Capability, may } from '@wainrope/contract';
import { useGetSessionQuery } from '../api/wainrope-api.ts';

/** Whether the person signed in here may do something: what is not allowed is not offered. */
export function useMay(): (capability: Capability) => boolean {
  const role = useGetSessionQuery().data?.person?.role;
  return (capability) => role !== undefined && may(role, capability);
}

/** The person signed in here. */
export function usePerson() {
  return useGetSessionQuery().data?.person;
}
