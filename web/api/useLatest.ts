import { replaceEqualDeep } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
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

  useEffect(() => {
    asker.want(question, ask);
    // the key stands for the question: equal questions are one question
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, ask, asker]);

  useEffect(
    () => () => {
      asker.close();
    },
    [asker],
  );

  return { answer: answer?.answer ?? null, isCurrent: answer !== null && answer.question === key, fault };
}
