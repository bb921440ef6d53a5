import type { Style } from '../../api/client';

/** Sweet over sour of a family's plain sauce; null where it is not sour. */
export const ratioOf = ({ sweet, sour }: Style['typical']): number | null => (sour < 0.05 ? null : sweet / sour);
