import { type QueryClient, useMutation, useQueryClient } from '@tanstack/react-query';
import { say } from './sentences';

/**
 * A change that is asked of the kitchen, one after another within its scope. Its fault, in words, stands until the next.
 *
 * @param onAnswer what the answer means for what is shown
 */
export function useChange<Answer>(
  scope: string,
  onAnswer: (answer: Answer, queries: QueryClient) => Promise<unknown> | undefined,
) {
  const queries = useQueryClient();
  const change = useMutation({
    scope: { id: scope },
    mutationFn: (ask: () => Promise<Answer>) => ask(),
    onSuccess: (answer) => onAnswer(answer, queries),
  });
  return {
    /** Whether it came about. */
    make: (ask: () => Promise<Answer>): Promise<boolean> =>
      change.mutateAsync(ask).then(
        () => true,
        () => false,
      ),
    isBusy: change.isPending,
    fault: change.error === null ? null : change.error.message || say.thatDidNotWork,
  };
}
