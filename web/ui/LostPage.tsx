import { Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import { Frame } from './Frame';

export function LostPage() {
  return (
    <Frame>
      <Typography variant="h1" sx={{ mt: 6, mb: 2 }}>
        Nothing stands here
      </Typography>
      <Button component={Link} to="/" variant="contained">
        Go to the shelf
      </Button>
    </Frame>
  );
}
