import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { PlanDraft } from '../../api/client';
import { plansQuery, shelfQuery } from '../../api/queries';
import { Frame } from '../../ui/Frame';
import { PlainTable } from '../../ui/PlainTable';
import { grams, when } from '../../ui/words';
import { Timeline } from './Timeline';
import { type Planning, usePlan } from './usePlan';
import { TextInput } from '../../ui/TextInput';
import { Check } from '../../ui/Check';
import { money } from '../../base/locale';
import { say } from './sentences';

/** When to start what, so that it is ready on the day, and what to buy for it. */
export function PlanPage() {
  const plan = usePlan();
  useEffect(() => {
    document.title = say.planVinculum;
  }, []);
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
          <Choices plan={plan} />
          <KeptPlans plan={plan} />
        </Box>
        <Box>
          {plan.isOpen && plan.wish === null && (
            <Typography sx={{ mt: 2, maxWidth: '52ch' }}>{say.tickTheSaucesYouWant}</Typography>
          )}
          {plan.fault !== null && (
            <Typography
              role="alert"
              data-plan-fault
              sx={{ mt: 2, border: '3px solid', borderColor: 'bar.preview', p: 1.5 }}
            >
              {plan.fault}
            </Typography>
          )}
          {plan.trouble !== null && <Typography role="alert">{plan.trouble}</Typography>}
          {plan.draft !== null && (
            <>
              <Typography data-plan-starts sx={{ mt: 2, fontSize: '1.2rem', fontWeight: 700 }}>
                {say.beginReady(when(plan.draft.starts), when(plan.draft.ready))}
              </Typography>
              <Timeline draft={plan.draft} />
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', my: 1 }}>
                <TextInput
                  aria-label={say.nameOfThePlan}
                  placeholder={say.nameOfThePlan}
                  value={plan.title}
                  maxLength={200}
                  onText={plan.name}
                  sx={{ width: 200 }}
                />
                <Button variant="contained" data-keep-plan onClick={() => void plan.keep()}>
                  {say.keepThisPlan}
                </Button>
                {plan.kept !== null && (
                  <Box
                    component="a"
                    data-calendar
                    href={`/api/plans/${plan.kept.id}/calendar`}
                    sx={{
                      color: 'text.primary',
                      fontWeight: 600,
                      minHeight: 44,
                      display: 'inline-flex',
                      alignItems: 'center',
                    }}
                  >
                    {say.calendarFile}
                  </Box>
                )}
              </Box>
              <ShoppingList draft={plan.draft} />
            </>
          )}
        </Box>
      </Box>
    </Frame>
  );
}

/** The day, the hob, and which sauces in which size. */
function Choices({ plan }: { plan: Planning }) {
  const shelf = useQuery(shelfQuery());
  return (
    <>
      <Typography variant="h1">{say.plan}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, my: 1 }}>
        <label>
          <Box component="span" sx={caption}>
            {say.readyOn}
          </Box>
          <TextInput type="datetime-local" value={plan.ready} onText={plan.readyOn} />
        </label>
        <label>
          <Box component="span" sx={caption}>
            {say.ringsOfTheHob}
          </Box>
          <TextInput inputMode="numeric" value={plan.rings} onText={plan.cookOn} sx={{ width: 70 }} />
        </label>
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shelf.data?.sauces.map((sauce) => (
          <Box component="li" key={sauce.id} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 44 }}>
            <Check
              attributes={{ 'data-plan-sauce': sauce.id }}
              checked={plan.sizes.has(sauce.id)}
              onCheck={(checked) => {
                plan.choose(sauce.id, checked ? '' : null);
              }}
              sx={{ flex: 1, minWidth: 0 }}
            >
              {sauce.title === '' ? say.unnamedSauce : sauce.title}
            </Check>
            {plan.sizes.has(sauce.id) && (
              <TextInput
                aria-label={say.howMuch(sauce.title)}
                placeholder={say.sizeExample}
                value={plan.sizes.get(sauce.id) ?? ''}
                maxLength={200}
                onText={(text) => {
                  plan.choose(sauce.id, text);
                }}
                sx={{ width: 120 }}
              />
            )}
          </Box>
        ))}
      </Box>
    </>
  );
}

function KeptPlans({ plan }: { plan: Planning }) {
  const plans = useQuery(plansQuery);
  return (
    <>
      {(plans.data?.plans.length ?? 0) > 0 && (
        <Typography variant="h2" sx={{ mt: 2 }}>
          {say.keptPlans}
        </Typography>
      )}
      {plans.data?.plans.map((one) => (
        <Box key={one.id} data-plan={one.id} sx={{ display: 'flex', alignItems: 'center' }}>
          <Button
            sx={{ flex: 1, textAlign: 'left' }}
            onClick={() => {
              plan.recall(one);
            }}
          >
            {one.title}, {when(one.ready.replace(' ', 'T'))}
          </Button>
          <Button aria-label={say.deleteThePlan(one.title)} onClick={() => void plan.drop(one)}>
            {say.deleteIt}
          </Button>
        </Box>
      ))}
    </>
  );
}

function ShoppingList({ draft }: { draft: PlanDraft }) {
  const buy = draft.shopping.filter((one) => one.buy_grams >= 0.5);
  return (
    <Box component="section" aria-label={say.toBuy} data-shopping>
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        {say.toBuy}
      </Typography>
      <PlainTable label={say.whatToBuy}>
        <thead>
          <tr>
            <th scope="col">{say.what}</th>
            <th scope="col">{say.needed}</th>
            <th scope="col">{say.inStock}</th>
            <th scope="col">{say.buy}</th>
            <th scope="col">{say.cost}</th>
            <th scope="col">{say.leftOver}</th>
          </tr>
        </thead>
        <tbody>
          {buy.map((one) => (
            <tr key={one.ingredient}>
              <th scope="row">
                {one.name}
                {one.out_of_season && (
                  <Box component="span" sx={{ display: 'block', color: 'text.secondary' }}>
                    {say.outOfSeasonThenSee}
                  </Box>
                )}
              </th>
              <td>{grams(one.need_grams)}</td>
              <td>{one.stock_grams > 0 ? grams(one.stock_grams) : ''}</td>
              <td>{one.packs === null ? grams(one.buy_grams) : `${one.packs} × ${grams(one.pack_grams ?? 0)}`}</td>
              <td>{one.cost === null ? '' : money(one.cost)}</td>
              <td>{one.left_grams === null ? '' : grams(Math.max(0, one.left_grams))}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {draft.shopping.length > buy.length && (
        <Typography sx={{ fontSize: '0.92rem', color: 'text.secondary', mt: 0.5 }}>
          {say.inStockAlready(
            draft.shopping
              .filter((one) => one.buy_grams < 0.5)
              .map((one) => one.name.toLowerCase())
              .join(', '),
          )}
        </Typography>
      )}
      {draft.sauces.map((sauce) => (
        <Typography key={sauce.id} sx={{ fontSize: '0.92rem' }}>
          {sauce.title}: {sauce.cost > 0 ? say.asFarAsPricesAre(money(sauce.cost)) : say.noPricesInThePantry}
          {sauce.cost > 0 && sauce.cost_per_jar !== null && say.aJar(money(sauce.cost_per_jar))}
        </Typography>
      ))}
    </Box>
  );
}

const caption = { display: 'block', fontSize: '0.8rem', color: 'text.secondary' } as const;
