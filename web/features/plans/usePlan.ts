import { useMemo, useState } from 'react';
import { api, type Plan, type PlanRequest } from '../../api/client';
import { plansQuery } from '../../api/queries';
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

/** A plan as it is being made: what is wished for, what comes of it, and whether it is kept. */
export function usePlan() {
  const [ready, setReady] = useState(usualDay);
  const [rings, setRings] = useState('1');
  const [title, setTitle] = useState('');
  const [sizes, setSizes] = useState<ReadonlyMap<number, string>>(new Map());
  const [kept, setKept] = useState<Plan | null>(null);
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
      if (wish !== null) setKept((await api.keepPlan(wish)).plan);
    });
  const drop = (plan: Plan) => change.make(() => api.dropPlan(plan.id));
  const choose = (sauce: number, size: string | null) => {
    setKept(null);
    setSizes((now) => {
      const next = new Map(now);
      if (size === null) next.delete(sauce);
      else next.set(sauce, size);
      return next;
    });
  };
  const recall = (plan: Plan) => {
    setReady(plan.ready.replace(' ', 'T'));
    setRings(String(plan.rings));
    setTitle(plan.title);
    setSizes(new Map(plan.items.map((item) => [item.sauce, item.size])));
    setKept(plan);
  };
  return {
    ready,
    rings,
    title,
    sizes,
    wish,
    draft,
    fault: wish !== null && found.fault !== null ? found.fault : null,
    trouble: change.fault,
    kept,
    name: setTitle,
    readyOn: (text: string) => {
      setReady(text);
      setKept(null);
    },
    cookOn: (text: string) => {
      setRings(text);
      setKept(null);
    },
    choose,
    recall,
    keep,
    drop,
  };
}
