import type { AirReport, AirSeries } from '@lean-clasp/core/air';
import type { BuildDocument, RunDocument } from '@lean-clasp/core/formats';
import type { BuildStart } from '@lean-clasp/core/templates';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** A build in the list. */
export interface StoredBuild {
  readonly id: string;
  readonly revision: number;
  readonly body: BuildDocument;
  readonly updatedAtMs: number;
}

/** A calculation as the server lists it. */
export interface CalculationListing {
  readonly name: string;
  readonly doc: string;
  readonly input: {
    readonly properties: Readonly<Record<string, unknown>>;
    readonly required?: readonly string[];
  };
  readonly example: Readonly<Record<string, unknown>>;
}

/** Server data that is not edited through documents. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: new URL('/api', location.origin).href }),
  tagTypes: ['Builds', 'Runs'],
  endpoints: (builder) => ({
    builds: builder.query<StoredBuild[], void>({ query: () => '/builds', providesTags: ['Builds'] }),
    createBuild: builder.mutation<StoredBuild, BuildStart>({
      query: (body) => ({ url: '/builds', method: 'POST', body }),
      invalidatesTags: ['Builds'],
    }),
    removeBuild: builder.mutation<void, string>({
      query: (id) => ({ url: `/builds/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Builds'],
    }),
    runs: builder.query<RunDocument[], void>({ query: () => '/runs', providesTags: ['Runs'] }),
    air: builder.query<AirReport, void>({ query: () => '/air' }),
    airSeries: builder.query<AirSeries, number>({ query: (days) => `/air/series?days=${days}` }),
    calculations: builder.query<CalculationListing[], void>({ query: () => '/calc' }),
  }),
});

export const {
  useAirQuery,
  useAirSeriesQuery,
  useBuildsQuery,
  useCreateBuildMutation,
  useRemoveBuildMutation,
  useRunsQuery,
  useCalculationsQuery,
} = api;

/** What is known of the sensor so far. */
export const selectAir = api.endpoints.air.select();
