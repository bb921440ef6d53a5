import { useQuery } from '@tanstack/react-query';
import { api, type Kitchen } from '../api/client';
import { kitchenQuery } from '../api/queries';
import { useChange } from '../api/useChange';
import { Check } from './Check';
import { say } from './sentences';

/**
 * How this kitchen works at the stove: whether it can weigh (every sheet asks for spoons, cups and pieces where it cannot),
 * and whether all is made ready before the heat or measured as it goes.
 */
export function KitchenHabits() {
  const kitchen = useQuery(kitchenQuery);
  const change = useChange<Kitchen>('kitchen', (answer, queries) => {
    queries.setQueryData(kitchenQuery.queryKey, answer);
    return queries.invalidateQueries({ queryKey: ['cook'] });
  });
  if (kitchen.data === undefined) return null;
  return (
    <>
      <Check
        checked={!kitchen.data.has_scale}
        disabled={change.isBusy}
        attributes={{ 'data-no-scale': '' }}
        onCheck={(has) => {
          void change.make(() => api.keepTools({ has_scale: !has }));
        }}
      >
        {say.iHaveNoScale}
      </Check>
      <Check
        checked={kitchen.data.readies_first}
        disabled={change.isBusy}
        attributes={{ 'data-readies-first': '' }}
        onCheck={(first) => {
          void change.make(() => api.keepTools({ readies_first: first }));
        }}
      >
        {say.readyBeforeTheHeat}
      </Check>
      {change.fault !== null && <span role="alert">{change.fault}</span>}
    </>
  );
}
