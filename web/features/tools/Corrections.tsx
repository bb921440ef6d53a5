import { fixed } from '../../base/locale';
import { Box, Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { Advice, Correction, Kitchen } from '../../api/client';
import { axisNames, besides, spoken } from '../../ui/words';
import { Pick } from '../../ui/Pick';
import { Fold } from '../../ui/Fold';
import { RowButton } from '../../ui/RowButton';
import { say } from './sentences';

interface Props {
  sauce: number;
  advice: Advice | null;
  complaints: Kitchen['complaints'];
  complaint: string | null;
  hasAim: boolean;
  onComplaint: (complaint: string | null) => void;
  onPreview: (index: number | null) => void;
  onApply: (correction: Correction) => void;
  /** Sets every line that is not locked; null where there is nothing to solve. */
  onSolve: (() => void) | null;
}

/** What to add, best first. Hover or focus shows on the bars where it would move; a click or Enter adds it. */
export function Corrections({
  sauce,
  advice,
  complaints,
  complaint,
  hasAim,
  onComplaint,
  onPreview,
  onApply,
  onSolve,
}: Props) {
  const first = advice?.corrections.slice(0, FIRST) ?? [];
  const more = advice?.corrections.slice(FIRST) ?? [];
  const aside = advice?.besides[0];
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5, py: 0.5 }}>
        <Box component="label" sx={{ fontSize: '0.9rem' }}>
          {say.theTongueSays}
          <Pick
            value={complaint ?? ''}
            onPick={(picked) => {
              onComplaint(picked === '' ? null : picked);
            }}
            sx={{ minHeight: 36 }}
          >
            <option value="">{say.nothingYet}</option>
            {complaints.map((one) => (
              <option key={one.key} value={one.key}>
                {one.says}
              </option>
            ))}
          </Pick>
        </Box>
        {onSolve !== null && (
          <Button
            data-solve
            title={say.lockedLinesStayTheOthers}
            onClick={onSolve}
            sx={{ px: 0.5, fontSize: '0.9rem' }}
          >
            {say.setTheUnlockedLinesFor}
          </Button>
        )}
      </Box>
      {!hasAim && <Typography sx={{ color: 'text.secondary' }}>{say.chooseAStyleAboveThe}</Typography>}
      {hasAim &&
        advice?.notes.map((note) => (
          <Typography key={note} sx={{ fontSize: '0.95rem', mb: 0.5 }}>
            {note}
          </Typography>
        ))}
      {hasAim && (
        <Box component="ol" sx={bare} aria-label={say.corrections}>
          {first.map((correction, index) => (
            <CorrectionRow key={index} correction={correction} index={index} onPreview={onPreview} onApply={onApply} />
          ))}
        </Box>
      )}
      {hasAim && more.length > 0 && (
        <Fold says={more.length === 1 ? say.oneMoreWay : say.moreWays(more.length)}>
          <Box component="ol" sx={bare} aria-label={say.moreCorrections}>
            {more.map((correction, index) => (
              <CorrectionRow
                key={index}
                correction={correction}
                index={FIRST + index}
                onPreview={onPreview}
                onApply={onApply}
              />
            ))}
          </Box>
        </Fold>
      )}
      {hasAim && aside !== undefined && (
        <Box component="section" aria-label={say.whileYouAreAtIt} sx={{ mt: 1 }}>
          <Typography sx={{ fontSize: '0.95rem' }}>
            {say.whileYouAreAtItFor}
            <strong>{aside.additions.map((one) => one.line).join(' + ')}</strong> ({aside.why}).
          </Typography>
          <Button
            variant="outlined"
            data-besides
            onClick={() => {
              onApply(aside);
            }}
          >
            {say.addThatToo}
          </Button>
        </Box>
      )}
      {hasAim &&
        advice?.other_ways.map((way) => (
          <Typography key={way.kind} data-way={way.kind} sx={{ fontSize: '0.95rem', my: 0.75 }}>
            <strong>{say.or}</strong> {way.says}
          </Typography>
        ))}
      {/* after the offers, so that they do not push it away from a pointer */}
      {(!hasAim || advice !== null) && (
        <Button component={Link} to={`/pantry?sauce=${sauce}`} sx={{ mt: 0.5 }}>
          {say.effectOfOneSpoonful}
        </Button>
      )}
      {hasAim && (advice?.levers.length ?? 0) > 0 && (
        <Fold says={say.whatOneStepCostsIn} sx={{ mt: 0.75, fontSize: '0.92rem' }}>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {advice?.levers.map((lever) => (
              <Box
                component="li"
                key={lever.ingredient}
                sx={{ py: 0.4, borderTop: '1px solid', borderColor: 'divider' }}
              >
                <strong>{spoken(lever.measure)}</strong>
                {say.aStepOf(lever.name.toLowerCase(), axisNames[lever.axis].toLowerCase())}
                {Object.entries(lever.also).map(([axis, moved]) => (
                  <Box component="span" key={axis} sx={{ color: 'text.secondary' }}>
                    {`, ${axis} ${moved > 0 ? '+' : '−'}${fixed(Math.abs(moved), 1)}`}
                  </Box>
                ))}
              </Box>
            ))}
          </Box>
        </Fold>
      )}
    </Box>
  );
}

interface RowProps {
  correction: Correction;
  index: number;
  onPreview: (index: number | null) => void;
  onApply: (correction: Correction) => void;
}

function CorrectionRow({ correction, index, onPreview, onApply }: RowProps) {
  const extra = besides(correction);
  if (correction.additions.length === 0) {
    return (
      <Box
        component="li"
        data-correction={index + 1}
        sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1, px: 1 }}
      >
        <Typography sx={{ fontWeight: 700 }}>{correction.does?.text}</Typography>
        <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
          {[correction.why, ...extra].join(' · ')}
        </Typography>
      </Box>
    );
  }
  const half = correction.additions.map((one) => spoken(one.first_dose)).join(' + ');
  const show = () => {
    onPreview(index);
  };
  const hide = () => {
    onPreview(null);
  };
  return (
    <Box component="li" sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
      <RowButton
        data-correction={index + 1}
        onMouseEnter={show}
        onMouseLeave={hide}
        onFocus={show}
        onBlur={hide}
        onClick={() => {
          hide();
          onApply(correction);
        }}
        sx={correctionButton}
      >
        <Box component="span" sx={{ fontWeight: 700 }}>
          {correction.additions
            .map((one) => (one.when === 'at-the-end' ? say.atTheEnd(one.line) : one.line))
            .join(' + ')}
        </Box>
        <Box component="span" aria-hidden sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
          {say.alt(index)}
        </Box>
        <Box component="span" sx={{ gridColumn: '1 / -1', fontSize: '0.85rem', color: 'text.secondary' }}>
          {[correction.why, ...(correction.does == null ? [] : [correction.does.text])].join('. ')}
        </Box>
        <Box component="span" sx={{ gridColumn: '1 / -1', fontSize: '0.85rem', color: 'text.secondary' }}>
          {[say.firstStirAndTaste(half), correction.verdict, ...extra].join(' · ')}
        </Box>
      </RowButton>
    </Box>
  );
}

/** Answers that differ stand open, the rest behind "more". */
const FIRST = 3;

const bare = { listStyle: 'none', m: 0, p: 0 } as const;

const correctionButton = { display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 1.5 } as const;
