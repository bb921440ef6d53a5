import { Box } from '@mui/material';
import { Fragment } from 'react';

/** Things in a row with a dot between: no line ends within one of them, so that "2" stands by its "tbsp". */
export function Dotted({ things }: { things: readonly string[] }) {
  return things.map((thing, nth) => (
    <Fragment key={`${nth} ${thing}`}>
      {nth > 0 && ' · '}
      <Box component="span" sx={{ display: 'inline-block' }}>
        {thing}
      </Box>
    </Fragment>
  ));
}
