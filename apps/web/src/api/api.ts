import type { AirReport, AirSeries } from '@lean-clasp/core/air';
import type { BuildDocument } from '@lean-clasp/core/formats';
import type { RunEvidence, Trends } from '@lean-clasp/core/learning';
import type { RunSummary } from '@lean-clasp/core/runs';
import type { BuildStart } from '@lean-clasp/core/templates';
import {
  type BaseQueryFn,
  createApi,
  type FetchArgs,
  fetchBaseQuery,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';
import type { Role } from '../access/access-slice';
import { takeEarly } from '../start/early';
import { isErrorBody, noteRefusal } from './request';

/** A build in the list. */
export interface BuildLine {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly project: string;
  readonly template: string;
  readonly updatedAtMs: number;
  /** It has been glued up, or is being. */
  readonly glued: boolean;
}

/** Some of the builds, the last changed first. */
interface BuildsPage {
  readonly builds: readonly BuildLine[];
  readonly next: string | null;
}

/** Some of the runs, the newest first. */
interface RunsPage {
  readonly runs: readonly RunSummary[];
  readonly next: string | null;
}

/** Which of the log is asked for; null and empty are all. */
export interface LogAsked {
  readonly text: string;
  readonly template: string | null;
  readonly adhesive: string | null;
  /** Only those of which something was said to have gone wrong. */
  readonly wrong: boolean;
}

/** A build that was removed, as the bin lists it. */
export interface BinnedBuild extends Omit<BuildLine, 'glued'> {
  readonly deletedAtMs: number;
}

/** A build whole. */
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

/** How the shop stands on the network. */
export interface NetworkReport {
  readonly addresses: readonly string[];
  readonly secure: boolean;
  readonly passphrases: readonly { readonly role: Role; readonly setAtMs: number }[];
  /** Where a calendar finds what is to come, from the root of the server. */
  readonly calendar: string;
}

const ask = fetchBaseQuery({
  baseUrl: new URL('/api', location.origin).href,
  fetchFn: (request) => askedEarly(request as Request) ?? fetch(request),
});

/** The answer, where the start of the page has asked already. */
function askedEarly({ method, url }: Request): Promise<Response> | undefined {
  const { pathname, search } = new URL(url);
  return method === 'GET' ? takeEarly(`${pathname}${search}`) : undefined;
}

/** Asks, and tells when nobody has come in. */
const askAndTell: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (
  args,
  query,
  extra,
) => {
  const answer = await ask(args, query, extra);
  noteRefusal(answer.error?.status);
  return answer;
};

/** What went wrong with a request, in the server's own words where it said any. */
export const problemOf = (error: unknown): string => {
  const data: unknown = typeof error === 'object' && error !== null && 'data' in error ? error.data : null;
  return isErrorBody(data) ? data.error.message : 'The server does not answer.';
};

/** Server data that is not edited through documents. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: askAndTell,
  tagTypes: ['Builds', 'Runs', 'Network'],
  endpoints: (builder) => ({
    builds: builder.infiniteQuery<BuildsPage, string, string | null>({
      infiniteQueryOptions: { initialPageParam: null, getNextPageParam: ({ next }) => next },
      query: ({ queryArg: text, pageParam: after }) => ({
        url: '/builds',
        params: { ...(text === '' ? {} : { text }), ...(after === null ? {} : { after }) },
      }),
      providesTags: ['Builds'],
    }),
    /** One build as it was at a revision. */
    build: builder.query<StoredBuild, { readonly id: string; readonly revision: number }>({
      query: ({ id }) => `/builds/${id}`,
    }),
    bin: builder.query<readonly BinnedBuild[], void>({
      query: () => '/bin?limit=200',
      transformResponse: ({ documents }: { documents: readonly BinnedBuild[] }) => documents,
      providesTags: ['Builds'],
    }),
    restoreBuild: builder.mutation<void, string>({
      query: (id) => ({ url: `/bin/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Builds'],
    }),
    createBuild: builder.mutation<StoredBuild, BuildStart>({
      query: (body) => ({ url: '/builds', method: 'POST', body }),
      invalidatesTags: ['Builds'],
    }),
    /** Takes in a build that was saved elsewhere. */
    readBuild: builder.mutation<StoredBuild, unknown>({
      query: (body) => ({ url: '/builds/read', method: 'POST', body }),
      invalidatesTags: ['Builds'],
    }),
    removeBuild: builder.mutation<void, string>({
      query: (id) => ({ url: `/builds/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Builds'],
    }),
    /** The newest runs, of all builds or of one. */
    runs: builder.query<readonly RunSummary[], string | void>({
      query: (build) => ({
        url: '/runs',
        params: { limit: 200, ...(build === undefined ? {} : { build }) },
      }),
      transformResponse: ({ runs }: RunsPage) => runs,
      providesTags: ['Runs'],
    }),
    /** All of the log, page by page. */
    runLog: builder.infiniteQuery<RunsPage, LogAsked, string | null>({
      infiniteQueryOptions: { initialPageParam: null, getNextPageParam: ({ next }) => next },
      query: ({ queryArg: { text, template, adhesive, wrong }, pageParam: after }) => ({
        url: '/runs',
        params: {
          ...(text === '' ? {} : { text }),
          ...(template === null ? {} : { template }),
          ...(adhesive === null ? {} : { adhesive }),
          ...(wrong ? { wrong: 'true' } : {}),
          ...(after === null ? {} : { after }),
        },
      }),
      providesTags: ['Runs'],
    }),
    /** What the whole log comes to. */
    trends: builder.query<Trends, void>({ query: () => '/runs/trends', providesTags: ['Runs'] }),
    /** What the newest glue-ups have to teach. */
    evidence: builder.query<readonly RunEvidence[], void>({
      query: () => '/runs/evidence',
      transformResponse: ({ evidence }: { evidence: readonly RunEvidence[] }) => evidence,
      providesTags: ['Runs'],
    }),
    air: builder.query<AirReport, void>({ query: () => '/air' }),
    airSeries: builder.query<AirSeries, number>({ query: (days) => `/air/series?days=${days}` }),
    network: builder.query<NetworkReport, void>({ query: () => '/network', providesTags: ['Network'] }),
    setPassphrase: builder.mutation<void, { readonly role: Role; readonly passphrase: string }>({
      query: ({ role, passphrase }) => ({
        url: `/network/passphrases/${role}`,
        method: 'PUT',
        body: { passphrase },
      }),
      invalidatesTags: ['Network'],
    }),
    removePassphrase: builder.mutation<void, Role>({
      query: (role) => ({ url: `/network/passphrases/${role}`, method: 'DELETE' }),
      invalidatesTags: ['Network'],
    }),
    calculations: builder.query<CalculationListing[], void>({ query: () => '/calc' }),
  }),
});

export const {
  useAirQuery,
  useAirSeriesQuery,
  useBinQuery,
  useBuildQuery,
  useBuildsInfiniteQuery,
  useCreateBuildMutation,
  useEvidenceQuery,
  useNetworkQuery,
  useReadBuildMutation,
  useRemoveBuildMutation,
  useRemovePassphraseMutation,
  useRestoreBuildMutation,
  useRunLogInfiniteQuery,
  useRunsQuery,
  useSetPassphraseMutation,
  useTrendsQuery,
  useCalculationsQuery,
} = api;

/** What is known of the sensor so far. */
export const selectAir = api.endpoints.air.select();
