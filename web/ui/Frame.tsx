import { Box, Typography } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { quietButton } from './looks';
import { displayFont } from './theme';
import { Help } from './Help';

/** The strip at the top with the way back to the shelf, and the room below it. */
export function Frame({ children, tools }: { children: ReactNode; tools?: ReactNode }) {
  const [showsKeys, setShowsKeys] = useState(false);
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <Box
        component="header"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          columnGap: { xs: 1, sm: 2 },
          px: { xs: 1.5, md: 3 },
          minHeight: 52,
          borderBottom: '3px solid',
          borderColor: 'bar.rule',
          bgcolor: 'background.paper',
        }}
      >
        <Box
          component={Link}
          to="/"
          aria-label="Vinculum: to the shelf"
          sx={{ color: 'text.primary', textDecoration: 'none', display: 'flex', alignItems: 'center', minHeight: 44 }}
        >
          <Box
            component="span"
            sx={{ display: 'inline-flex', flexDirection: 'column', alignItems: 'center', lineHeight: 1 }}
          >
            <Typography
              component="span"
              sx={{ fontFamily: displayFont, fontWeight: 700, fontSize: '1.25rem', borderTop: '3px solid', pt: '1px' }}
            >
              Vinculum
            </Typography>
          </Box>
        </Box>
        <Box component="nav" aria-label="Places" sx={{ display: 'flex', flexWrap: 'wrap' }}>
          <Box component={NavLink} to="/" end sx={placeLink}>
            Shelf
          </Box>
          <Box component={NavLink} to="/pantry" sx={placeLink}>
            Pantry
          </Box>
          <Box component={NavLink} to="/palate" sx={placeLink}>
            Palate
          </Box>
          <Box component={NavLink} to="/plan" sx={placeLink}>
            Plan
          </Box>
        </Box>
        {tools !== undefined && (
          <Box
            sx={{
              // on a phone the tools have a row of their own below
              order: { xs: 1, md: 0 },
              flex: '1 1 auto',
              display: 'flex',
              flexWrap: { xs: 'wrap', md: 'nowrap' },
              alignItems: 'center',
              justifyContent: 'flex-end',
              gap: { xs: 0.5, sm: 1 },
            }}
          >
            {tools}
          </Box>
        )}
        <Box
          component="button"
          type="button"
          aria-label="Help: what the bars say, and keys"
          title="Help (?)"
          onClick={() => {
            setShowsKeys(true);
          }}
          sx={{ ...quietButton, minWidth: 44, ml: { xs: 'auto', md: tools === undefined ? 'auto' : 0 } }}
        >
          ?
        </Box>
      </Box>
      <Box component="main" sx={{ flex: 1, width: '100%', maxWidth: 1400, mx: 'auto', px: { xs: 1.5, md: 3 }, pb: 3 }}>
        {children}
      </Box>
      <Help open={showsKeys} onOpenChange={setShowsKeys} />
    </Box>
  );
}

const placeLink = {
  display: 'flex',
  alignItems: 'center',
  minHeight: 44,
  px: { xs: 0.5, sm: 1.25 },
  color: 'text.primary',
  fontWeight: 600,
  textDecoration: 'none',
  '&:hover, &.active': { textDecoration: 'underline', textUnderlineOffset: '5px', textDecorationThickness: '3px' },
} as const;
