interface Pressed {
  key: string;
  preventDefault: () => void;
  currentTarget: Element;
}

const across: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowLeft: -1 };
const down: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowUp: -1 };

/**
 * Arrows among the buttons of a group of which one is chosen: what is next is chosen, and has the focus. Tabs leave up and
 * down to the page.
 */
export const onArrows = (index: number, count: number, choose: (next: number) => void) => (event: Pressed) => {
  const by = across[event.key] ?? (event.currentTarget.role === 'radio' ? down[event.key] : undefined);
  if (by === undefined) return;
  event.preventDefault();
  const next = (index + by + count) % count;
  choose(next);
  event.currentTarget.parentElement?.querySelectorAll<HTMLElement>('button')[next]?.focus();
};
