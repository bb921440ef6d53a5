import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect } from 'react';

const keys: readonly (readonly [string, string])[] = [
  ['Enter', 'next line, or a new one'],
  ['↑ ↓', 'line above, line below; in the amount: a measurable notch more or less'],
  ['Shift+↑ ↓ in the amount', 'as much as a tongue can notice'],
  ['Ctrl+↑ ↓', 'the same from anywhere in the line'],
  ['Alt+↑ ↓', 'move the line'],
  ['↓ Enter while typing', 'take a name that is offered; Esc to go on typing'],
  ['Backspace on an empty line', 'take the line out'],
  ['Alt+Enter in a line', 'what can be done with it'],
  ['Alt+K · Alt+S in a line', 'lock its amount · swap it'],
  ['Alt+M in a line', 'the next way to mend it: another meaning, or its weight'],
  ['Alt+1 … Alt+8', 'add what that correction says'],
  ['Alt+U', 'solve the unlocked lines'],
  ['Alt+L · Alt+C', 'to the lines · to what to add'],
  ['Ctrl+Z · Ctrl+Shift+Z', 'undo · redo, back through the whole visit'],
  ['?', 'this page'],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** The one page of shortcuts, behind "?". */
export function Shortcuts({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event.target)) {
        event.preventDefault();
        onOpenChange(true);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [onOpenChange]);
  const close = () => {
    onOpenChange(false);
  };
  return (
    <Dialog open={open} onClose={close} aria-labelledby="shortcuts-title">
      <DialogTitle id="shortcuts-title">Keys</DialogTitle>
      <DialogContent>
        <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 3, rowGap: 1, m: 0 }}>
          {keys.map(([key, does]) => (
            <Box key={key} sx={{ display: 'contents' }}>
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {key}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {does}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Back</Button>
      </DialogActions>
    </Dialog>
  );
}
