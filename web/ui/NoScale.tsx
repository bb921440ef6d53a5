import { useQuery } from '@tanstack/react-query';
import { api, type Kitchen } from '../api/client';
import { kitchenQuery } from '../api/queries';
import { useChange } from '../api/useChange';
import { Check } from './Check';
import { say } from './sentences';

/** Whether this kitchen can weigh: every sheet asks for spoons, cups and pieces where it cannot. */
export function NoScale() {
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
          void change.make(() => api.keepTools(!has));
        }}
      >
        {say.iHaveNoScale}
      </Check>
      {change.fault !== null && <span role="alert">{change.fault}</span>}
    </>
  );
}
