import { useEffect, useRef, useState } from 'react';

/**
 * Asks again whenever the question changes: one request in flight, the newest question waiting, stale answers dropped.
 * While the server is away the last answer stays, and the question is tried again.
 */
export function useLatest<Question, Answer>(question: Question | null, ask: (question: Question) => Promise<Answer>) {
  const [answer, setAnswer] = useState<{ question: string; answer: Answer } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const wanted = useRef<Question | null>(null);
  const busy = useRef(false);
  const key = question === null ? null : JSON.stringify(question);

  useEffect(() => {
    let live = true;
    let retry: ReturnType<typeof setTimeout> | undefined;
    wanted.current = question;
    const run = () => {
      const asked = wanted.current;
      if (asked === null || busy.current) return;
      busy.current = true;
      wanted.current = null;
      ask(asked)
        .then(
          (found) => {
            setAnswer({ question: JSON.stringify(asked), answer: found });
            setFault(null);
          },
          (reason: unknown) => {
            setFault(reason instanceof Error ? reason.message : 'No answer.');
            if (live && wanted.current === null) {
              wanted.current = asked;
              retry = setTimeout(run, 2_000);
            }
          },
        )
        .finally(() => {
          busy.current = false;
          if (retry === undefined) run();
        });
    };
    run();
    return () => {
      live = false;
      clearTimeout(retry);
    };
    // the key stands for the question: equal questions are one question
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, ask]);

  return { answer: answer?.answer ?? null, isCurrent: answer !== null && answer.question === key, fault };
}
