import { Box, Button, Typography } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useLatest } from '../../api/useLatest';
import { api, type Plan, type PlanDraft, type PlanWish } from '../../api/client';
import { Frame } from '../../ui/Frame';
import { PlainTable } from '../../ui/PlainTable';
import { quietButton } from '../../ui/looks';
import { grams, when } from '../../ui/words';
import { Timeline } from './Timeline';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';

/** Saturday after next, at six: a day one plans for. */
function usualDay(): string {
  const day = new Date();
  day.setDate(day.getDate() + ((6 - day.getDay() + 7) % 7 || 7));
  return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}T18:00`;
}

const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** When to start what, so that it is ready on the day, and what to buy for it. */
export function PlanPage() {
  const shelf = useQuery({ queryKey: ['shelf', 'all'], queryFn: () => api.shelf('', 1) });
  const plans = useQuery({ queryKey: ['plans'], queryFn: api.plans, refetchOnMount: 'always' });
  const queries = useQueryClient();
  const [ready, setReady] = useState(usualDay);
  const [rings, setRings] = useState('1');
  const [title, setTitle] = useState('');
  const [sizes, setSizes] = useState<ReadonlyMap<number, string>>(new Map());
  const [kept, setKept] = useState<Plan | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Plan · Vinculum';
  }, []);
  const wish = useMemo<PlanWish | null>(
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
  const keep = async () => {
    if (wish === null) return;
    try {
      const answer = await api.keepPlan(wish);
      setKept(answer.plan);
      setFault(null);
      await queries.invalidateQueries({ queryKey: ['plans'] });
    } catch (reason) {
      setFault(reason instanceof Error ? reason.message : 'That did not work.');
    }
  };
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
  return (
    <Frame>
      <Box
        sx={{
          pt: 2,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '340px minmax(0, 1fr)' },
          columnGap: 4,
        }}
      >
        <Box>
          <Typography variant="h1">Plan</Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, my: 1 }}>
            <label>
              <Box component="span" sx={caption}>
                Ready on
              </Box>
              <TextInput
                type="datetime-local"
                value={ready}
                onText={(text) => {
                  setReady(text);
                  setKept(null);
                }}
              />
            </label>
            <label>
              <Box component="span" sx={caption}>
                Rings of the hob
              </Box>
              <TextInput
                inputMode="numeric"
                value={rings}
                onText={(text) => {
                  setRings(text);
                  setKept(null);
                }}
                sx={{ width: 70 }}
              />
            </label>
          </Box>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {shelf.data?.sauces.map((sauce) => (
              <Box component="li" key={sauce.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44 }}>
                <Check
                  data-plan-sauce={sauce.id}
                  checked={sizes.has(sauce.id)}
                  onCheck={(checked) => {
                    choose(sauce.id, checked ? '' : null);
                  }}
                  sx={{ flex: 1, minWidth: 0 }}
                >
                  {sauce.title === '' ? 'Unnamed sauce' : sauce.title}
                </Check>
                {sizes.has(sauce.id) && (
                  <TextInput
                    aria-label={`How much ${sauce.title}`}
                    placeholder="4 x 250 ml"
                    value={sizes.get(sauce.id) ?? ''}
                    maxLength={200}
                    onText={(text) => {
                      choose(sauce.id, text);
                    }}
                    sx={{ width: 120 }}
                  />
                )}
              </Box>
            ))}
          </Box>
          {(plans.data?.plans.length ?? 0) > 0 && (
            <Typography variant="h2" sx={{ mt: 2 }}>
              Kept plans
            </Typography>
          )}
          {plans.data?.plans.map((plan) => (
            <Box key={plan.id} data-plan={plan.id} sx={{ display: 'flex', alignItems: 'center' }}>
              <Box
                component="button"
                type="button"
                sx={{ ...quietButton, flex: 1, textAlign: 'left' }}
                onClick={() => {
                  recall(plan);
                }}
              >
                {plan.title}, {plan.ready}
              </Box>
              <Box
                component="button"
                type="button"
                aria-label={`Drop the plan ${plan.title}`}
                sx={quietButton}
                onClick={() =>
                  void api.dropPlan(plan.id).then(() => queries.invalidateQueries({ queryKey: ['plans'] }))
                }
              >
                Drop
              </Box>
            </Box>
          ))}
        </Box>
        <Box>
          {wish === null && (
            <Typography sx={{ mt: 2, maxWidth: '52ch' }}>
              Tick the sauces you want, say how much and for when. Each is laid out backwards from its day: resting,
              cooling, cooking, preparing, and what to buy.
            </Typography>
          )}
          {wish !== null && found.fault !== null && (
            <Typography
              role="alert"
              data-plan-fault
              sx={{ mt: 2, border: '3px solid', borderColor: 'bar.preview', p: 1.5 }}
            >
              {found.fault}
            </Typography>
          )}
          {fault !== null && <Typography role="alert">{fault}</Typography>}
          {draft !== null && (
            <>
              <Typography data-plan-starts sx={{ mt: 2, fontSize: '1.2rem', fontWeight: 700 }}>
                Begin {when(draft.starts)}, ready {when(draft.ready)}
              </Typography>
              <Timeline draft={draft} />
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', my: 1 }}>
                <TextInput
                  aria-label="Name of the plan"
                  placeholder="Name of the plan"
                  value={title}
                  maxLength={200}
                  onText={setTitle}
                  sx={{ width: 200 }}
                />
                <Button variant="contained" data-keep-plan onClick={() => void keep()}>
                  Keep this plan
                </Button>
                {kept !== null && (
                  <Box
                    component="a"
                    data-calendar
                    href={`/api/plans/${kept.id}/calendar`}
                    sx={{
                      color: 'text.primary',
                      fontWeight: 600,
                      minHeight: 44,
                      display: 'inline-flex',
                      alignItems: 'center',
                    }}
                  >
                    Calendar file
                  </Box>
                )}
              </Box>
              <ShoppingList draft={draft} />
            </>
          )}
        </Box>
      </Box>
    </Frame>
  );
}

function ShoppingList({ draft }: { draft: PlanDraft }) {
  const buy = draft.shopping.filter((one) => one.buy_grams >= 0.5);
  return (
    <Box component="section" aria-label="To buy" data-shopping>
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        To buy
      </Typography>
      <PlainTable label="What to buy">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">Needed</th>
            <th scope="col">In stock</th>
            <th scope="col">Buy</th>
            <th scope="col">Cost</th>
            <th scope="col">Left over</th>
          </tr>
        </thead>
        <tbody>
          {buy.map((one) => (
            <tr key={one.ingredient}>
              <th scope="row">
                {one.name}
                {one.out_of_season && (
                  <Box component="span" sx={{ display: 'block', color: 'text.secondary' }}>
                    out of season then: see Swap on the bench
                  </Box>
                )}
              </th>
              <td>{grams(one.need_grams)}</td>
              <td>{one.stock_grams > 0 ? grams(one.stock_grams) : ''}</td>
              <td>{one.packs === null ? grams(one.buy_grams) : `${one.packs} × ${grams(one.pack_grams ?? 0)}`}</td>
              <td>{one.cost === null ? '' : one.cost.toFixed(2)}</td>
              <td>{one.left_grams === null ? '' : grams(Math.max(0, one.left_grams))}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {draft.shopping.length > buy.length && (
        <Typography sx={{ fontSize: '0.92rem', color: 'text.secondary', mt: 0.5 }}>
          In stock already:{' '}
          {draft.shopping
            .filter((one) => one.buy_grams < 0.5)
            .map((one) => one.name.toLowerCase())
            .join(', ')}
          .
        </Typography>
      )}
      {draft.sauces.map((sauce) => (
        <Typography key={sauce.id} sx={{ fontSize: '0.92rem' }}>
          {sauce.title}:{' '}
          {sauce.cost > 0 ? `${sauce.cost.toFixed(2)} as far as prices are known` : 'no prices in the pantry yet'}
          {sauce.cost > 0 && sauce.cost_per_jar !== null && `, ${sauce.cost_per_jar.toFixed(2)} a jar`}
        </Typography>
      ))}
    </Box>
  );
}

const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
