import {
  type BaseQueryFn,
  createApi,
  type FetchArgs,
  type FetchBaseQueryError,
  type FetchBaseQueryMeta,
  fetchBaseQuery,
} from '@reduxjs/toolkit/query/react';
import { keepingReads, patientFetch } from '../kept/keep-reads.ts';

/** What answers are about: who changes one makes the pages that show it ask again. */
export const tagTypes = [
  'Session',
  'Team',
  'People',
  'Audit',
  'Gear',
  'Plan',
  'Layout',
  'Inspection',
  'Template',
  'Round',
  'Load',
  'Incident',
  'BreakTest',
  'Kit',
  'Outing',
  'Vehicle',
  'Policy',
  'Calendar',
] as const;

const fetched = fetchBaseQuery({
  baseUrl: '',
  fetchFn: patientFetch,
  responseHandler: (response) => (response.headers.get('Content-Type')?.includes('json') ? response.json() : response.text()),
});

/** A session that has ended shows itself at once: the page then offers to sign in again, over what is being worked on. */
const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta> = async (args, api, extra) => {
  const answer = await fetched(args, api, extra);
  if (answer.error?.status === 401 && api.endpoint !== 'signIn') api.dispatch(baseApi.util.invalidateTags(['Session']));
  return answer;
};

/** The empty API that the generated endpoints are injected into. Answers with problem+json stay readable as data. */
export const baseApi = createApi({ reducerPath: 'api', baseQuery: keepingReads(baseQuery), tagTypes, endpoints: () => ({}) });
