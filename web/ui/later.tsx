import { type ComponentType, useEffect, useState } from 'react';
import { say } from './sentences';

/**
 * A part of the house that is fetched when it is first wanted, and shown as soon as it is there. React's own lazy holds what
 * comes after a pause back for 300 ms, which here is longer than the fetching takes.
 */
export function later<Props extends object>(fetchPart: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  let known: ComponentType<Props> | null = null;
  return function Later(props: Props) {
    const [Part, setPart] = useState(() => known);
    const [isLost, setIsLost] = useState(false);
    useEffect(() => {
      if (Part !== null) return;
      fetchPart().then(
        (found) => {
          known = found;
          setPart(() => found);
        },
        () => {
          setIsLost(true);
        },
      );
    }, [Part]);
    if (Part !== null) return <Part {...props} />;
    return isLost ? <p role="alert">{say.thisPageCouldNotBe}</p> : null;
  };
}
