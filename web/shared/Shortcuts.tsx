import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect } from 'react';

const keys: readonly (readonly [string, string])[] = [
  ['Enter', 'next line, or a new one'],
  ['↑ ↓', 'line above, line below'],
  ['Backspace on an empty line', 'take the line out'],
  ['Ctrl+Z · Ctrl+Shift+Z', 'undo · redo, back through the whole visit'],
  ['Alt+M in a line', 'the next way to mend it: another meaning, or its weight'],
  ['Alt+1 … Alt+8', 'add what that correction says'],
  ['Alt+L', 'to the lines'],
  ['Alt+C', 'to the corrections'],
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
