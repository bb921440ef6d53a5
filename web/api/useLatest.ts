import { replaceEqualDeep } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Asker } from './Asker';

/**
 * Asks again whenever the question changes: one request in flight, the newest question waiting, stale answers dropped.
 * While the server is away the last answer stays, and the newest question is tried again.
 */
export function useLatest<Question, Answer>(question: Question | null, ask: (question: Question) => Promise<Answer>) {
  const [answer, setAnswer] = useState<{ question: string; answer: Answer } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [asker] = useState(
    () =>
      new Asker<Question, Answer>((asked, found) => {
        // what is as it was stays itself, so that what shows it is not drawn again
        setAnswer((last) => ({
          question: JSON.stringify(asked),
          answer: last === null ? found : replaceEqualDeep(last.answer, found),
        }));
        setFault(null);
      }, setFault),
  );
  const key = question === null ? null : JSON.stringify(question);
  const asked = useRef<string | null>(null);
  const want = useCallback(
    (wanted: Question | null) => {
      // equal questions are one question
      const next = wanted === null ? null : JSON.stringify(wanted);
      if (next === asked.current) return;
      asked.current = next;
      asker.want(wanted, ask);
    },
    [ask, asker],
  );

  useEffect(() => {
    want(question);
    // the key stands for the question
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, want]);

  useEffect(
    () => () => {
      asked.current = null;
      asker.close();
    },
    [asker],
  );

  return {
    answer: answer?.answer ?? null,
    isCurrent: answer !== null && answer.question === key,
    fault,
    /** Asks what the next drawing of the page will ask, without waiting for it. */
    askNow: want,
  };
}
