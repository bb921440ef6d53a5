import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { api, type Version } from '../../api/client';
import { versionsQuery } from '../../api/queries';
import { useChange } from '../../api/useChange';
import { moment } from '../../ui/words';
import type { WrittenSauce } from '../sauce/draft';
import { say } from './sentences';

interface Props {
  sauce: number;
  written: WrittenSauce;
  /** Sends what is not yet stored, so that a version is of what is seen. */
  settle: () => Promise<void>;
  onReturn: (version: Version) => void;
}

/** The states of this sauce that are kept for good. */
export function VersionsPanel({ sauce, written, settle, onReturn }: Props) {
  const change = useChange<unknown>(`versions ${sauce}`, (_, queries) =>
    queries.invalidateQueries(versionsQuery(sauce)),
  );
  const navigate = useNavigate();
  const versions = useQuery(versionsQuery(sauce));
  const keep = async () => {
    await settle();
    return change.make(() => api.keepVersion(sauce));
  };
  const fork = async () => {
    const variant = await api.addSauce({ ...written, title: say.variant(written.title).trim(), forked_from: sauce });
    await navigate(`/sauce/${variant.id}`);
  };
  const goBack = async (version: Version) => {
    if (await keep()) onReturn(version);
  };
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1 }}>
        <Button variant="contained" onClick={() => void keep()}>
          {say.keepItAsItStands}
        </Button>
        <Button variant="outlined" onClick={() => void fork()}>
          {say.startAVariant}
        </Button>
      </Box>
      <Typography sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>{say.keptByItselfAsWell}</Typography>
      {versions.error !== null && <Typography role="alert">{versions.error.message}</Typography>}
      {change.fault !== null && <Typography role="alert">{change.fault}</Typography>}
      <Box component="ol" aria-label={say.versions} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {versions.data?.versions.map((version) => (
          <Box
            component="li"
            key={version.number}
            data-version={version.number}
            sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}
          >
            <strong>{say.version(version.number)}</strong>{' '}
            <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
              {moment(version.kept_at)}
            </Box>
            <Box sx={{ fontSize: '0.95rem' }}>{version.says ?? say.theFirst}</Box>
            <Button
              component={Link}
              to={`/sauce/${sauce}/compare?before=${version.number}`}
              sx={{ px: 0, mr: 2, fontSize: '0.9rem' }}
            >
              {say.sideBySideWithNow}
            </Button>
            <Button onClick={() => void goBack(version)} sx={{ px: 0, fontSize: '0.9rem' }}>
              {say.returnToThis}
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
