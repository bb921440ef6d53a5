import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api } from './client';

/** What a page needs to know once: styles, measures, words. */
export const kitchenQuery = queryOptions({ queryKey: ['kitchen'], queryFn: api.kitchen, staleTime: Infinity });
/** What was told of a sauce: that never changes. */
export const toldQuery = (sauce: number) =>
  queryOptions({ queryKey: ['told', sauce], queryFn: () => api.told(sauce), staleTime: Infinity });
/** Where the known recipes of a family stand. */
export const knownQuery = (style: string) =>
  queryOptions({ queryKey: ['known', style], queryFn: () => api.knownRecipes(style), staleTime: Infinity });
export const shelfQuery = (named = '', pages = 1) =>
  queryOptions({
    queryKey: ['shelf', named, pages],
    queryFn: () => api.shelf(named, pages),
    placeholderData: keepPreviousData,
  });
export const sauceQuery = (sauce: number) =>
  queryOptions({ queryKey: ['sauce', sauce], queryFn: () => api.sauce(sauce) });
/** The same for the bench, which builds on what it opened and is never given an older answer. */
export const benchQuery = (sauce: number) =>
  queryOptions({ queryKey: ['bench', sauce], queryFn: () => api.sauce(sauce), staleTime: Infinity, gcTime: 0 });
export const versionsQuery = (sauce: number) =>
  queryOptions({ queryKey: ['versions', sauce], queryFn: () => api.versions(sauce) });
export const batchesQuery = (sauce: number) =>
  queryOptions({ queryKey: ['batches', sauce], queryFn: () => api.batches(sauce) });
export const logQuery = (sauce: number) =>
  queryOptions({ queryKey: ['log', sauce], queryFn: () => api.sauceLog(sauce) });
export const batchQuery = (batch: number) =>
  queryOptions({ queryKey: ['batch', batch], queryFn: () => api.batch(batch) });
export const recordQuery = (batch: number) =>
  queryOptions({ queryKey: ['record', batch], queryFn: () => api.record(batch) });
export const betweenQuery = (before: number, after: number) =>
  queryOptions({ queryKey: ['between', before, after], queryFn: () => api.between(before, after) });
export const instrumentsQuery = queryOptions({
  queryKey: ['instruments'],
  queryFn: api.instruments,
  refetchInterval: 5_000,
});
export const pantryQuery = queryOptions({ queryKey: ['pantry'], queryFn: api.pantry });
export const spoonfulsQuery = (sauce: number) =>
  queryOptions({ queryKey: ['spoonfuls', sauce], queryFn: () => api.spoonfuls(sauce) });
export const palateQuery = queryOptions({ queryKey: ['palate'], queryFn: api.palate });
export const trainerQuery = queryOptions({ queryKey: ['trainer'], queryFn: api.trainer });
export const plansQuery = queryOptions({ queryKey: ['plans'], queryFn: api.plans });
export const backupsQuery = queryOptions({ queryKey: ['backups'], queryFn: api.backups });
export const sessionQuery = queryOptions({ queryKey: ['session'], queryFn: api.session });
