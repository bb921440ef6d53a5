import { Button, Typography } from '@mui/material';
import type { FallbackProps } from 'react-error-boundary';
import { Link } from 'react-router';
import { Frame } from './Frame';
import { say } from './sentences';

/** In place of a page that could not be drawn: what is kept, and the ways on. */
export function BrokenPage({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <Frame>
      <Typography variant="h1" sx={{ mt: 6, mb: 2 }} role="alert">
        {say.thisPageBroke}
      </Typography>
      <Typography sx={{ mb: 1 }}>{say.nothingTypedIsLost}</Typography>
      <Typography sx={{ mb: 2, color: 'text.secondary' }}>
        {say.whatWentWrong(error instanceof Error ? error.message : String(error))}
      </Typography>
      <Button variant="contained" sx={{ mr: 1, minHeight: 44 }} onClick={resetErrorBoundary}>
        {say.drawItAgain}
      </Button>
      <Button component={Link} to="/" variant="outlined" sx={{ minHeight: 44 }}>
        {say.goToTheShelf}
      </Button>
    </Frame>
  );
}
