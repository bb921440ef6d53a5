import { useEffect, useRef, useState } from 'react';

const retryAfter = 2_000;

/**
 * Asks again whenever the question changes: one request in flight, the newest question waiting, stale answers dropped.
 * While the server is away the last answer stays, and the newest question is tried again.
 */
export function useLatest<Question, Answer>(question: Question | null, ask: (question: Question) => Promise<Answer>) {
  const [answer, setAnswer] = useState<{ question: string; answer: Answer } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const line = useRef<{ wanted: Question | null; busy: boolean; retry: ReturnType<typeof setTimeout> | undefined }>({
    wanted: null,
    busy: false,
    retry: undefined,
  });
  const key = question === null ? null : JSON.stringify(question);

  useEffect(() => {
    const state = line.current;
    const run = () => {
      clearTimeout(state.retry);
      state.retry = undefined;
      const asked = state.wanted;
      if (asked === null || state.busy) return;
      state.busy = true;
      state.wanted = null;
      ask(asked)
        .then(
          (found) => {
            setAnswer({ question: JSON.stringify(asked), answer: found });
            setFault(null);
            return 0;
          },
          (reason: unknown) => {
            setFault(reason instanceof Error ? reason.message : 'No answer.');
            state.wanted ??= asked;
            return retryAfter;
          },
        )
        .then((pause) => {
          state.busy = false;
          if (state.wanted !== null) state.retry = setTimeout(run, pause);
        })
        .catch(() => undefined);
    };
    state.wanted = question;
    run();
    // the key stands for the question: equal questions are one question
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, ask]);

  useEffect(() => {
    const state = line.current;
    return () => {
      clearTimeout(state.retry);
      state.wanted = null;
    };
  }, []);

  return { answer: answer?.answer ?? null, isCurrent: answer !== null && answer.question === key, fault };
}
