import { gone, type SendRequest, sentChart, sentChartsAnswer, sentLink } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { knownBandId, useBand } from './songs.ts';

const sentKey = (bandId: string) => ['sent', bandId] as const;
const FRESH_MS = 30_000;

/** The links of the band that open. */
export function useSentLinks() {
  const { data: band } = useBand();
  const bandId = band?.id ?? '';
  return useQuery({
    queryKey: sentKey(bandId),
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/sent`, sentChartsAnswer, { signal })).sent,
    enabled: band !== undefined && band.role !== 'guest',
  });
}

/** Makes a link to a chart or a set, and takes one back; what is pressed before the band is known waits for it. */
export function useSentChanges() {
  const queries = useQueryClient();
  const at = async () => `/bands/${await knownBandId(queries)}/sent`;
  const onSuccess = () => {
    for (const key of ['sent', 'audit']) void queries.invalidateQueries({ queryKey: [key] });
  };
  return {
    send: useMutation({ mutationFn: async (body: SendRequest) => call('POST', await at(), sentLink, { body }), onSuccess }),
    takeBack: useMutation({ mutationFn: async (id: string) => call('DELETE', `${await at()}/${id}`, gone), onSuccess }),
  };
}

/** What a link shows, as it stands now; looked at again whenever somebody comes back to the page. */
export function useSentChart(token: string) {
  return useQuery({
    queryKey: ['sent chart', token],
    queryFn: ({ signal }) => call('POST', '/sent/look', sentChart, { body: { token }, signal }),
    enabled: token !== '',
    staleTime: FRESH_MS,
    refetchOnWindowFocus: true,
  });
}
