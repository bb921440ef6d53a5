import { Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import { Frame } from './Frame';
import { say } from './sentences';

export function LostPage() {
  return (
    <Frame>
      <Typography variant="h1" sx={{ mt: 6, mb: 2 }}>
        {say.nothingStandsHere}
      </Typography>
      <Button component={Link} to="/" variant="contained">
        {say.goToTheShelf}
      </Button>
    </Frame>
  );
}
