import { Menu, MenuItem } from '@mui/material';
import { type DraftLine, hasTag, isHeading, type Tag } from '../sauce/draft';
import { say } from './sentences';

interface Props {
  anchor: HTMLElement | null;
  lines: readonly DraftLine[];
  index: number;
  onClose: () => void;
  onTag: (tag: Tag) => void;
  onMove: (to: number) => void;
  onSwap: () => void;
  onAside: () => void;
  onRemove: () => void;
}

const tags: readonly (readonly [Tag, string, string])[] = [
  ['lock', say.lockItsAmount, say.unlockItsAmount],
  ['steeped', say.steepedAndTakenOut, say.notSteepedItStaysIn],
  ['cold', say.addedAfterCooling, say.notAddedColdItGoes],
  ['optional', say.optional, say.notOptional],
];

/** Where a line may go: under each stage, and to the lines before the first. */
function places(lines: readonly DraftLine[], index: number): { says: string; to: number }[] {
  const stages = lines.flatMap((line, at) => (isHeading(line.text) && at !== index ? [at] : []));
  return stages.map((at) => {
    const end = lines.findIndex((line, number) => number > at && isHeading(line.text));
    const last = end < 0 ? lines.length : end;
    return {
      says: say.moveTo((lines[at]?.text ?? '').replace(/:\s*$/, '').trim()),
      to: last > index ? last - 1 : last,
    };
  });
}

/** What can be done with one line. */
export function LineMenu({ anchor, lines, index, onClose, onTag, onMove, onSwap, onAside, onRemove }: Props) {
  const line = lines[index];
  const then = (act: () => void) => () => {
    onClose();
    act();
  };
  return (
    <Menu anchorEl={anchor} open={anchor !== null} onClose={onClose} transitionDuration={0}>
      {line !== undefined &&
        !isHeading(line.text) &&
        tags.map(([tag, on, off]) => (
          <MenuItem
            key={tag}
            data-tag={tag}
            onClick={then(() => {
              onTag(tag);
            })}
          >
            {hasTag(line.text, tag) ? off : on}
          </MenuItem>
        ))}
      {line !== undefined && !isHeading(line.text) && (
        <MenuItem onClick={then(onSwap)}>{say.swapItForSomething}</MenuItem>
      )}
      {line !== undefined && line.text.trim() !== '' && (
        <MenuItem onClick={then(onAside)}>{say.setItAsideItIs}</MenuItem>
      )}
      {index > 0 && (
        <MenuItem
          onClick={then(() => {
            onMove(index - 1);
          })}
        >
          {say.moveUp}
        </MenuItem>
      )}
      {index + 1 < lines.length && (
        <MenuItem
          onClick={then(() => {
            onMove(index + 1);
          })}
        >
          {say.moveDown}
        </MenuItem>
      )}
      {places(lines, index).map((place) => (
        <MenuItem
          key={place.says}
          onClick={then(() => {
            onMove(place.to);
          })}
        >
          {place.says}
        </MenuItem>
      ))}
      <MenuItem onClick={then(onRemove)}>{say.deleteTheLine}</MenuItem>
    </Menu>
  );
}
