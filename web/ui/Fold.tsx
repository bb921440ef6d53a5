import { Box, Button, type SxProps, type Theme } from '@mui/material';
import { type ReactNode, useId, useState } from 'react';

interface Props {
  /** What stands there while it is shut, and leads in. */
  says: string;
  sx?: SxProps<Theme>;
  children: ReactNode;
}

/** What one may want to see, and need not. */
export function Fold({ says, sx, children }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const id = useId();
  return (
    <Box {...(sx === undefined ? {} : { sx })}>
      <Button
        aria-expanded={isOpen}
        aria-controls={isOpen ? id : undefined}
        onClick={() => {
          setIsOpen(!isOpen);
        }}
        endIcon={<span aria-hidden>{isOpen ? '−' : '+'}</span>}
        sx={{ px: 0.5 }}
      >
        {says}
      </Button>
      {isOpen && <Box id={id}>{children}</Box>}
    </Box>
  );
}
