import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** The empty API that the generated endpoints are injected into. Answers with problem+json stay readable as data. */
export const baseApi = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({
    baseUrl: '',
    responseHandler: (response) => (response.headers.get('Content-Type')?.includes('json') ? response.json() : response.text()),
  }),
  tagTypes: ['Team', 'Gear', 'Plan'],
  endpoints: () => ({}),
});
