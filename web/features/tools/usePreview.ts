import { useEffect } from 'react';
import type { Axes } from '../../api/client';

/** Shows on the bars where a side panel leads, for as long as the panel is open. */
export function usePreview(after: Axes | null, onPreview: (axes: Axes | null) => void): void {
  useEffect(() => {
    onPreview(after);
    return () => {
      onPreview(null);
    };
  }, [after, onPreview]);
}
