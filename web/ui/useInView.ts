import { type RefObject, useEffect, useState } from 'react';

/** Whether something is in view; so until the browser says otherwise. */
export function useInView(ref: RefObject<Element | null>, is: unknown): boolean {
  const [isInView, setIsInView] = useState(true);
  useEffect(() => {
    const element = ref.current;
    if (element === null) return;
    const observer = new IntersectionObserver((entries) => {
      setIsInView(entries.at(-1)?.isIntersecting ?? true);
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, [ref, is]);
  return isInView;
}
