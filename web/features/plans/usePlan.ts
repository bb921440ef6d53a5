import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, type Plan, type PlanRequest } from '../../api/client';
import { plansQuery, shelfQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { useLatest } from '../../api/useLatest';

/** Saturday after next, at six: a day one plans for. */
function usualDay(): string {
  const day = new Date();
  day.setDate(day.getDate() + ((6 - day.getDay() + 7) % 7 || 7));
  return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}T18:00`;
}

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

export type Planning = ReturnType<typeof usePlan>;

/** What is wished for, and the kept plan that it is, where it is one. */
interface Wished {
  readonly ready: string;
  readonly rings: string;
  readonly title: string;
  readonly sizes: ReadonlyMap<number, string>;
  readonly kept: Plan | null;
}

const recalled = (plan: Plan): Wished => ({
  ready: plan.ready.replace(' ', 'T'),
  rings: String(plan.rings),
  title: plan.title,
  sizes: new Map(plan.items.map((item) => [item.sauce, item.size])),
  kept: plan,
});

/** A plan as it is being made: what is wished for, what comes of it, and whether it is kept. */
export function usePlan() {
  const plans = useQuery(plansQuery);
  const shelf = useQuery(shelfQuery());
  const [own, setOwn] = useState<Wished | null>(null);
  // it opens on the kept plan that is due next, else on what the first sauce of the shelf would need
  const opening = useMemo<Wished>(() => {
    const next = plans.data?.plans.find((plan) => plan.id === plans.data.next);
    if (next !== undefined) return recalled(next);
    const first = plans.data === undefined ? undefined : shelf.data?.sauces[0];
    const sizes = new Map(first === undefined ? [] : [[first.id, '']]);
    return { ready: usualDay(), rings: '1', title: '', sizes, kept: null };
  }, [plans.data, shelf.data]);
  const wished = own ?? opening;
  const isOpen = own !== null || (plans.data !== undefined && shelf.data !== undefined);
  const { ready, rings, title, sizes, kept } = wished;
  const change = useChange<unknown>('plans', (_, queries) => queries.invalidateQueries(plansQuery));
  const wish = useMemo<PlanRequest | null>(
    () =>
      sizes.size === 0 || ready === ''
        ? null
        : {
            title,
            ready: ready.replace('T', ' ').slice(0, 16),
            zone,
            rings: Number(rings) || 1,
            items: [...sizes].map(([sauce, size]) => ({ sauce, size })),
          },
    [sizes, ready, rings, title],
  );
  const found = useLatest(wish, api.draftPlan);
  const draft = wish !== null && found.fault === null ? found.answer : null;
  const keep = () =>
    change.make(async () => {
      if (wish !== null) setOwn({ ...wished, kept: (await api.keepPlan(wish)).plan });
    });
  const drop = (plan: Plan) =>
    change.make(() => {
      setOwn(kept?.id === plan.id ? { ...wished, kept: null } : wished);
      return api.dropPlan(plan.id);
    });
  const choose = (sauce: number, size: string | null) => {
    const next = new Map(sizes);
    if (size === null) next.delete(sauce);
    else next.set(sauce, size);
    setOwn({ ...wished, sizes: next, kept: null });
  };
  return {
    ready,
    rings,
    title,
    sizes,
    /** What stands on the shelf, and what was planned, is known. */
    isOpen,
    wish,
    draft,
    fault: wish !== null && found.fault !== null ? found.fault : null,
    trouble: change.fault,
    kept,
    name: (text: string) => {
      setOwn({ ...wished, title: text });
    },
    readyOn: (text: string) => {
      setOwn({ ...wished, ready: text, kept: null });
    },
    cookOn: (text: string) => {
      setOwn({ ...wished, rings: text, kept: null });
    },
    choose,
    recall: (plan: Plan) => {
      setOwn(recalled(plan));
    },
    keep,
    drop,
  };
}
